<script lang="ts">
  import { everyDay, isClock, type Hours } from '@tender-crumb/core/household';
  import X from '@lucide/svelte/icons/x';

  let {
    title,
    says,
    hours,
    onkeep,
  }: {
    title: string;
    says: string;
    hours: readonly Hours[];
    onkeep: (hours: readonly Hours[]) => void;
  } = $props();

  const days = ['Mo', 'Tu', 'We', 'Th', 'Fr', 'Sa', 'Su'] as const;
  const names = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'];

  let fault = $state('');

  function change(i: number, edit: Partial<Hours>) {
    const next = hours.map((h, k) => (k === i ? { ...h, ...edit } : h));
    const of = next[i]!;
    fault =
      !isClock(of.from) || !isClock(of.to)
        ? 'Two times of day, such as 22:30.'
        : of.from === of.to
          ? 'Start and end are the same.'
          : of.days.length === 0
            ? 'On one day at least.'
            : '';
    if (!fault) onkeep(next);
  }

  const toggle = (i: number, day: number) => {
    const on = hours[i]!.days;
    change(i, {
      days: on.includes(day) ? on.filter((d) => d !== day) : [...on, day].sort((a, b) => a - b),
    });
  };
</script>

<section class="grid gap-2" aria-label={title}>
  <h2>{title}</h2>
  <p class="quiet">{says}</p>
  {#each hours as span, i (i)}
    <div class="flex flex-wrap items-end gap-2 border-t border-line pt-2">
      <label class="quiet grid gap-1"
        >From
        <input
          class="field text-base text-ink"
          type="time"
          value={span.from}
          onchange={(e) => change(i, { from: e.currentTarget.value })}
        />
      </label>
      <label class="quiet grid gap-1"
        >To
        <input
          class="field text-base text-ink"
          type="time"
          value={span.to}
          onchange={(e) => change(i, { to: e.currentTarget.value })}
        />
      </label>
      <div class="flex flex-wrap gap-1" role="group" aria-label="Days on which it begins">
        {#each days as day, d (day)}
          <button
            class="touch min-w-9 rounded border border-line px-1.5 py-1 text-sm font-semibold aria-pressed:bg-rim aria-pressed:text-on-rim"
            type="button"
            aria-pressed={span.days.includes(d + 1)}
            aria-label={names[d]}
            onclick={() => toggle(i, d + 1)}>{day}</button
          >
        {/each}
      </div>
      <button
        class="knob touch px-2"
        type="button"
        aria-label="Take {span.from} to {span.to} out"
        onclick={() => onkeep(hours.filter((_, k) => k !== i))}><X size={16} /></button
      >
    </div>
  {/each}
  {#if fault}<p class="text-act" role="alert">{fault}</p>{/if}
  <p>
    <button
      class="knob touch"
      type="button"
      onclick={() => onkeep([...hours, { days: [...everyDay], from: '09:00', to: '17:00' }])}
      >Add hours</button
    >
  </p>
</section>
