import type { Bag } from '@tender-crumb/core/ingredient';
import { machines, type Appliance, type Pan } from '@tender-crumb/core/machine';
import type { Draws } from './random.ts';

/** Two starters and two packets of yeast. */
export const demoLeavens: readonly Bag[] = [
  {
    id: 'barge-rye',
    kind: 'starter',
    name: 'Barge, of rye',
    ingredient: 'rye-whole',
    hydration: 1,
    keptAt: 'fridge',
  },
  {
    id: 'lock-white',
    kind: 'starter',
    name: 'Lock, of white',
    ingredient: 'bread-flour',
    hydration: 1,
    keptAt: 'fridge',
  },
  {
    id: 'yeast-jar',
    kind: 'yeast',
    name: 'Instant, in the screw jar',
    ingredient: 'instant-yeast',
  },
  {
    id: 'yeast-gold',
    kind: 'yeast',
    name: 'For sweet doughs, folded packet',
    ingredient: 'osmotolerant-yeast',
  },
];

/** The starter that a bread is raised with. */
export const starterOf = 'barge-rye';

export const demoAppliances: readonly Appliance[] = [
  {
    id: 'range',
    kind: 'oven',
    name: 'The range',
    holds: 2,
    offset: 10,
    lowest: 60,
    steam: 'tray',
  },
  {
    id: 'paddles',
    kind: 'machine',
    name: 'Two-paddle machine',
    holds: 1,
    machine: machines['two-paddle'],
  },
  { id: 'cold-pantry', kind: 'fridge', name: 'Cold box in the pantry', holds: 3 },
];

/** What Number 9, Heron Lock bakes and mixes in. */
export const demoPans: readonly Pan[] = [
  { id: 'tin-large', kind: 'tin', name: 'Large tin', millilitres: 1900, grams: 412 },
  { id: 'tin-small', kind: 'tin', name: 'Small tin', millilitres: 1000, grams: 268 },
  { id: 'iron-pot', kind: 'pot', name: 'Cast-iron pot', millilitres: 4500, grams: 4180 },
  { id: 'basket', kind: 'basket', name: 'Willow basket', millilitres: 2000, grams: 240 },
  { id: 'tray', kind: 'tray', name: 'Black tray' },
  { id: 'blue-bowl', kind: 'bowl', name: 'Blue enamel bowl', millilitres: 4000, grams: 634 },
  { id: 'machine-pan', kind: 'bowl', name: 'The machine’s pan', millilitres: 3200, grams: 548 },
];

/** A feeding of a starter. */
export interface DemoFeeding {
  readonly bag: string;
  readonly id: string;
  readonly at: string;
  readonly seed: number;
  readonly flour: number;
  readonly water: number;
  readonly peakAt?: string;
  readonly discard?: number;
  readonly note?: string;
}

const dayMs = 86_400_000;
const hourMs = 3_600_000;
/** The rye is fed about every five days, the white one when somebody remembers. */
const rhythms = { 'barge-rye': 5, 'lock-white': 9 } as const;
const notes = ['smelt of apples', 'hooch stirred in', 'warm window sill', 'forgotten a night'];

/** Feedings of both starters to the day before the last: the white one was last seen to long ago. */
export function demoFeedings(draws: Draws, begin: number, end: number): DemoFeeding[] {
  return Object.entries(rhythms).flatMap(([bag, every]) => {
    const found: DemoFeeding[] = [];
    const last = bag === 'lock-white' ? end - 12 * dayMs : end - dayMs;
    for (
      let at = begin;
      at < last;
      at += Math.round(every * (0.6 + 0.8 * draws.uniform())) * dayMs
    ) {
      const moment = at + (18 + 3 * draws.uniform()) * hourMs;
      const flour = draws.pick([40, 50, 60]);
      const peaks = draws.uniform() < 0.5;
      found.push({
        bag,
        id: `${bag}-${found.length + 1}`,
        at: new Date(moment).toISOString(),
        seed: draws.pick([15, 20, 25]),
        flour,
        water: flour,
        ...(peaks
          ? { peakAt: new Date(moment + (8 + 3 * draws.uniform()) * hourMs).toISOString() }
          : {}),
        ...(draws.uniform() < 0.15 ? { discard: 40 } : {}),
        ...(draws.uniform() < 0.12 ? { note: draws.pick(notes) } : {}),
      });
    }
    return found;
  });
}

/** Two bakes of this week: a tin loaf for tomorrow’s table, the sourdough for Sunday’s. */
export function demoPlans(today: Date) {
  const midnight = Date.UTC(today.getUTCFullYear(), today.getUTCMonth(), today.getUTCDate());
  const toSunday =
    ((7 - today.getUTCDay()) % 7) + (today.getUTCDay() >= 5 || today.getUTCDay() === 0 ? 7 : 0);
  const at = (days: number, hours: number) =>
    new Date(midnight + days * dayMs + hours * hourMs).toISOString();
  return [
    { id: 'plan-tin', formulaId: 'lockside-white', version: 0, readyBy: at(1, 17) },
    {
      id: 'plan-sunday',
      formulaId: 'towpath-sourdough',
      version: 0,
      readyBy: at(Math.max(3, toSunday), 12.5),
    },
  ];
}
