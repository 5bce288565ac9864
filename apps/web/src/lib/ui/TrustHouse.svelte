<script lang="ts">
  // How a device is told to trust this house’s certificate. The words are those of the systems’ own settings.
</script>

<p class="mt-2">
  No company signed this kitchen's certificate, so the browser warns you. Tell this device once that
  you trust it. The warning goes away, the screen stays awake while you bake, and pages open when
  the server is away.
</p>
<ol class="mt-3 grid list-decimal gap-1.5 pl-5">
  <li>
    <a class="link" href="/house-certificate.crt" download data-sveltekit-reload
      >Download the certificate of this house</a
    >.
  </li>
  <li>
    <b>iPad or iPhone:</b> Settings, <i>Profile Downloaded</i>, Install. Then General, About,
    Certificate Trust Settings: switch it on.
  </li>
  <li>
    <b>Android:</b> Settings, search for <i>CA certificate</i>, Install anyway, choose the file.
  </li>
  <li>
    <b>A computer:</b> open the file and put it among the <i>trusted root certificates</i>; Firefox
    has a list of its own in its settings.
  </li>
  <li>Close the browser and open this address again.</li>
</ol>
<p class="quiet mt-3">
  It vouches for names and addresses at home and for nothing else, so nobody can use it to show you
  another place. Its key never leaves the machine that runs the program.
</p>
