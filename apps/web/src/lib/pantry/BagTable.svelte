<script lang="ts">
  import { absorptionKey } from '@tender-crumb/core/belief';
  import { defaultHousehold } from '@tender-crumb/core/household';
  import { grinds, pricePerKilo, type Bag, type Ingredient } from '@tender-crumb/core/ingredient';
  import { learnedName, type KnownAbsorption } from '@tender-crumb/core/learn';
  import Pencil from '@lucide/svelte/icons/pencil';
  import { asMass } from '../ui/writing.ts';
  import BagForm from './BagForm.svelte';

  let {
    bags,
    kinds,
    nameOf,
    onchange,
  }: {
    bags: ReadonlyArray<Bag & { readonly known: KnownAbsorption }>;
    kinds: readonly Ingredient[];
    nameOf: (ingredient: string) => string;
    onchange: () => void;
  } = $props();

  let editing = $state<string | undefined>();

  const day = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', year: 'numeric' });
  const keyOf = (b: Bag) => absorptionKey({ ingredient: b.ingredient, bag: b.id });
  const { text: drinks } = learnedName('thirst:', defaultHousehold);
  const facts = (b: Bag) =>
    [
      nameOf(b.ingredient),
      b.grind && grinds[b.grind].label,
      b.protein !== undefined && `${b.protein} % protein`,
      b.moisture !== undefined && `${b.moisture} % moisture`,
      b.openedOn && `opened ${day.format(new Date(b.openedOn))}`,
      b.hasLeft !== undefined && `${asMass(b.hasLeft)} left`,
      b.price && `${pricePerKilo(b)?.toFixed(2)} a kg`,
      b.finished && 'used up',
    ]
      .filter(Boolean)
      .join(' · ');
</script>

<div class="overflow-x-auto">
  <table class="w-full text-[0.95rem]">
    <thead class="quiet text-left">
      <tr>
        <th class="py-1 font-medium">Bag</th>
        <th class="hidden pl-4 text-right font-medium sm:table-cell">at first</th>
        <th class="pl-4 text-right font-medium">now</th>
        <th class="hidden pl-4 text-right font-medium sm:table-cell">give or take</th>
        <th class="pl-4 text-right font-medium">bakes</th>
        <th><span class="sr-only">Change</span></th>
      </tr>
    </thead>
    <tbody>
      {#each bags as b (b.id)}
        <tr class="border-t border-line" class:text-soft={b.finished}>
          <td class="py-1.5">
            <b>{b.name}</b><br /><span class="quiet">{facts(b)}</span>
          </td>
          <td class="hidden pl-4 text-right sm:table-cell"
            >{drinks(b.known.catalogue.absorption)}</td
          >
          <td class="pl-4 text-right font-semibold whitespace-nowrap">
            {#if b.known.bakes > 0}<a
                class="link touch"
                href="/book/learned?of={encodeURIComponent(keyOf(b))}"
                title="The bakes that it rests on">{drinks(b.known.now.absorption)}</a
              >{:else}{drinks(b.known.now.absorption)}{/if}
          </td>
          <td class="hidden pl-4 text-right sm:table-cell">{drinks(b.known.now.sd)}</td>
          <td class="pl-4 text-right">{b.known.bakes}</td>
          <td class="text-right">
            <button
              class="touch justify-center rounded p-2 text-soft hover:bg-sunk"
              type="button"
              aria-label="Change {b.name}"
              aria-expanded={editing === b.id}
              onclick={() => (editing = editing === b.id ? undefined : b.id)}
              ><Pencil size={16} /></button
            >
          </td>
        </tr>
        {#if editing === b.id}
          <tr>
            <td colspan="6" class="border-l-4 border-rim bg-sunk p-3">
              <BagForm
                bag={b}
                baked={b.known.bakes}
                {kinds}
                ondone={() => {
                  editing = undefined;
                  onchange();
                }}
                onleave={() => (editing = undefined)}
              />
            </td>
          </tr>
        {/if}
      {/each}
    </tbody>
  </table>
</div>
