<script lang="ts">
  import Check from '@lucide/svelte/icons/check';
  import CloudOff from '@lucide/svelte/icons/cloud-off';
  import LoaderCircle from '@lucide/svelte/icons/loader-circle';
  import type { Saver } from './saver.svelte.ts';

  let { saver }: { saver: Saver } = $props();

  const looks = {
    saved: { icon: Check, says: 'Saved' },
    unsaved: { icon: LoaderCircle, says: 'Typing …' },
    saving: { icon: LoaderCircle, says: 'Saving …' },
    waiting: { icon: CloudOff, says: 'Not saved yet' },
    conflict: { icon: CloudOff, says: 'Two versions' },
    refused: { icon: CloudOff, says: 'Cannot be saved' },
  };
  const look = $derived(looks[saver.state]);
  const Icon = $derived(look.icon);
</script>

<span
  class="quiet inline-flex items-center gap-1"
  role="status"
  title={saver.why}
  data-save={saver.state}
>
  <Icon size={16} aria-hidden="true" />
  {look.says}
</span>
