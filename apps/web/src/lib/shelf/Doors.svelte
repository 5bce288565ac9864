<script lang="ts">
  import ClipboardPaste from '@lucide/svelte/icons/clipboard-paste';
  import LifeBuoy from '@lucide/svelte/icons/life-buoy';
  import Wheat from '@lucide/svelte/icons/wheat';

  /** What an empty kitchen opens with: what somebody comes for, and no form. */
  let { onrecipe }: { onrecipe: () => void } = $props();
</script>

<nav class="doors" aria-label="Where to begin">
  <button class="door" type="button" onclick={onrecipe}>
    <ClipboardPaste size={44} strokeWidth={1.5} aria-hidden="true" />
    <b>I have a recipe</b>
    <span>Paste it, or take a photo.</span>
  </button>
  <a class="door" href="/bake/first">
    <Wheat size={44} strokeWidth={1.5} aria-hidden="true" />
    <b>I have never baked</b>
    <span>Bake a first loaf, step by step.</span>
  </a>
  <a class="door" href="/bake/rescue">
    <LifeBuoy size={44} strokeWidth={1.5} aria-hidden="true" />
    <b>My dough is in trouble</b>
    <span>Too wet, too dry, not rising.</span>
  </a>
</nav>

<style>
  .doors {
    display: grid;
    gap: 1rem;
  }
  .door {
    display: grid;
    align-content: center;
    justify-items: start;
    gap: 0.35rem;
    min-height: 8rem;
    padding: 1.25rem 1.5rem;
    border: 2px solid var(--rim);
    border-radius: 4px 4px 22px 22px;
    background: var(--enamel);
    color: var(--rim);
    text-align: left;
  }
  .door b {
    font-size: 1.5rem;
    line-height: 1.2;
  }
  .door span {
    color: var(--ink);
    font-size: 1.1rem;
  }
  .door:hover {
    background: var(--sunk);
  }
  @media (min-width: 700px) {
    .doors {
      grid-template-columns: repeat(3, minmax(0, 1fr));
      margin-top: 2rem;
    }
    .door {
      min-height: 17rem;
    }
  }
</style>
