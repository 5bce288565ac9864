<script lang="ts">
  import type { RunStep } from '@tender-crumb/core/lead';
  import type { TimedBake, TimedStep } from '@tender-crumb/core/schedule';
  import type { Stirred } from '@tender-crumb/core/starter';
  import HouseQuestion from '../ask/HouseQuestion.svelte';
  import AddIns from './AddIns.svelte';
  import CheckStep from './CheckStep.svelte';
  import CoolStep from './CoolStep.svelte';
  import MadeChoice from '../made/MadeChoice.svelte';
  import FeedStep from './FeedStep.svelte';
  import MachineChoice from './MachineChoice.svelte';
  import MachineStep from './MachineStep.svelte';
  import OutcomeStep from './OutcomeStep.svelte';
  import OvenStep from './OvenStep.svelte';
  import RipenStep from './RipenStep.svelte';
  import RiseStep from './RiseStep.svelte';
  import type { Run } from './run.svelte.ts';
  import ShapeStep from './ShapeStep.svelte';
  import WarmthNote from './WarmthNote.svelte';
  import WeighStep from './WeighStep.svelte';

  let {
    run,
    step,
    timed,
    bakeTimed,
    feeding,
    now,
    time,
  }: {
    run: Run;
    step: RunStep;
    timed: TimedStep | undefined;
    bakeTimed: TimedBake | undefined;
    feeding: Stirred | undefined;
    now: Date;
    time: (iso: string) => string;
  } = $props();
</script>

<!-- What is worked with at a step: one panel a kind. -->
{#if step.kind === 'feed'}
  <FeedStep {run} {step} {feeding} />
{:else if step.kind === 'ripen' && step.stage !== undefined}
  <RipenStep {run} stage={step.stage} {time} />
{:else if step.kind === 'weigh' || step.kind === 'preferment' || step.kind === 'soak' || step.kind === 'autolyse'}
  {#if step.kind === 'weigh' && run.view.state.weighed.size === 0 && run.view.toldHow}
    <div class="mb-3">
      <MadeChoice
        household={run.household}
        device={run.view.bread.device}
        size="large"
        onpick={(device) => run.makesIn(device)}
      />
    </div>
  {/if}
  {#if step.kind === 'weigh' && run.view.course}
    <div class="mb-3">
      <MachineChoice {run} course={run.view.course} {now} {time} />
    </div>
  {/if}
  {#if bakeTimed?.water}<HouseQuestion of="degrees" household={run.household} size="large" />{/if}
  <WeighStep {run} {step} water={bakeTimed?.water} />
{:else if step.kind === 'check'}
  <CheckStep {run} />
  <HouseQuestion of="bakers" household={run.household} size="large" />
{:else if step.kind === 'first-rise' || step.kind === 'final-proof'}
  <RiseStep {run} {step} {time} />
{:else if step.kind === 'shape'}
  <ShapeStep {run} />
{:else if step.kind === 'heat' || step.kind === 'bake'}
  <HouseQuestion of="degrees" household={run.household} size="large" />
  <OvenStep {run} {step} {now} />
{:else if step.kind === 'mix' && !step.runs}
  <AddIns {run} when="At the end of the kneading, folded in:" />
  <WarmthNote {run} places={['dough']} />
{:else if step.runs && run.view.course}
  <MachineStep {run} {step} course={run.view.course} {now} {time} />
{:else if step.kind === 'cool'}
  <CoolStep {run} {step} {timed} {now} {time} />
{:else if step.kind === 'taste'}
  <OutcomeStep bake={run.id} dough={run.view.bakedGrams} onfinish={(o) => run.finish(o)} />
{/if}
