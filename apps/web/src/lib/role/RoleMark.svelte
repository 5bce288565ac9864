<script lang="ts">
  import { roles, type Role } from '@tender-crumb/core/ingredient';

  let { role }: { role: Role } = $props();
</script>

<span class="mark" title={roles[role].label}>
  <span class="swatch" data-role={role}></span>
  <span aria-hidden="true">{roles[role].letter}</span>
  <span class="sr-only">{roles[role].label}</span>
</span>

<style>
  .mark {
    display: inline-flex;
    align-items: center;
    gap: 0.25rem;
    font-size: 0.75rem;
    font-weight: 650;
    color: var(--soft);
  }
  .swatch {
    width: 0.8rem;
    height: 1rem;
    border-radius: 2px 2px 6px 6px;
  }
</style>
