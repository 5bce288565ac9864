<script lang="ts">
  import type { MovedOption } from '@tender-crumb/core/view';
  import { hoursText } from '@tender-crumb/core/quantity';
  import { untrack } from 'svelte';
  import type { Planning } from './planning.svelte.ts';
  import { fieldOf, momentOfField, timeText } from './when.ts';

  let {
    planning,
    bake,
    ready,
    large = false,
    ontake,
  }: {
    planning: Planning;
    /** Its name among the plans. */
    bake: string;
    /** ISO moment at which it is ready as it stands. */
    ready: string | undefined;
    /** For floury hands. */
    large?: boolean;
    /** What gives then; a bake under way is told of it. */
    ontake?: (option: MovedOption) => void;
  } = $props();

  const zone = untrack(() => planning.data.zone);
  /** More choices are no help while a dough rises. */
  const mostOptions = 3;
  let open = $state(false);
  let moment = $state('');
  let options = $state.raw<readonly MovedOption[] | undefined>();
  let asked = $state('');
  let fault = $state('');
  let taken = $state('');

  $effect(() => {
    if (open && moment === '' && ready) moment = fieldOf(ready, zone);
  });

  async function look(event: SubmitEvent) {
    event.preventDefault();
    [fault, taken, options] = ['', '', undefined];
    const at = momentOfField(moment, zone);
    if (at === undefined) {
      fault = 'Which day, and what time?';
      return;
    }
    if (Date.parse(at) < planning.now.getTime()) {
      fault = 'That time has passed. Choose a later one.';
      return;
    }
    asked = at;
    const found = await planning.movedTo(bake, at);
    if (asked !== at) return;
    options = found.slice(0, mostOptions);
    if (found.length === 0) fault = 'It cannot be ready by then. Choose another time.';
  }
  async function take(option: MovedOption) {
    if (!(await planning.takeMoved(bake, asked, option))) return;
    ontake?.(option);
    taken = `Ready ${timeText(option.ready, zone, planning.now)}.`;
    options = undefined;
  }
  const span = (by: number): string => hoursText(Math.abs(by) / 60);
  const off = ({ off: by, onTime }: MovedOption): string =>
    onTime ? 'at that time' : `${span(by)} ${by > 0 ? 'after it' : 'before it'}`;
  const moved = (by: number): string => `${span(by)} ${by > 0 ? 'later' : 'earlier'}`;
</script>

<!-- Dinner is moved: the new time, and what gives; nothing changes until one is taken. -->
<details class="no-print" bind:open>
  <summary class={large ? 'knob min-h-14' : 'touch'}>Dinner moved?</summary>
  <form class="mt-2 flex flex-wrap items-end gap-2" onsubmit={look} novalidate>
    <label class="quiet grid gap-1"
      >I want it at
      <input
        class="field text-base text-ink"
        class:min-h-14={large}
        type="datetime-local"
        bind:value={moment}
      />
    </label>
    <button class="knob {large ? 'min-h-14' : 'touch'}" type="submit">What can give?</button>
  </form>
  {#if fault}<p class="text-act" role="alert">{fault}</p>{/if}
  {#if taken}<p role="status">{taken}</p>{/if}
  {#if options}
    <ul class="mt-2 grid gap-2" aria-label="What can give">
      {#each options as option (option.id)}
        <li class="flex flex-wrap items-center justify-between gap-2 border-t border-line pt-2">
          <span class="min-w-0 flex-1 basis-56">
            <b class="inline-block first-letter:uppercase"
              >{option.same ? 'As it goes now' : option.label}</b
            >: ready
            <b>{timeText(option.ready, zone, planning.now)}</b>, {off(option)}
            {#if !option.same}<span class="quiet block">{option.says}</span>{/if}
            {#each option.others as other (other.bake)}
              <span class="block text-act">{other.name} is ready {moved(other.by)}.</span>
            {/each}
          </span>
          <button
            class="knob {large ? 'min-h-14' : 'touch'}"
            type="button"
            onclick={() => void take(option)}>Do it so</button
          >
        </li>
      {/each}
    </ul>
  {/if}
</details>
