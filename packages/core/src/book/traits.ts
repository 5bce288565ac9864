import { devices, type DeviceId } from '../machine/device.ts';
import { formRows } from '../hands/divide.ts';
import type { Form } from '../style/form.ts';
import { ingredient, isIngredientId } from '../ingredient/catalogue.ts';
import { leavenKeys, paceKey } from '../ferment/leaven-key.ts';
import { bakerName } from '../household/baker.ts';
import type { Household } from '../household/household.ts';
import type { BakeRecord } from './record.ts';

/** Something of a bake that is a name and not a number. */
interface Trait {
  readonly says: string;
  /** Values by what they are of: one a flour for its bag, one in all for the rest. */
  of(record: BakeRecord): ReadonlyMap<string, string>;
  /** A value for the baker. */
  named(value: string, household: Household): string;
  /** Whether another can be taken next time. */
  readonly settable: boolean;
}

const one = (value: string | undefined): ReadonlyMap<string, string> =>
  new Map(value === undefined ? [] : [['', value]]);

const bagName = (id: string, { bags }: Household): string =>
  bags.find((b) => b.id === id)?.name ?? 'a bag that is gone';

/** Keys of leavens that are told apart begin so; see leaven-key.ts. */
const ofBag = `${paceKey}bag:`;

/** One row a trait. */
const traits = {
  bag: {
    says: 'bag',
    of: ({ made }) =>
      new Map(
        made.flatMap((l) =>
          l.of.role === 'flour' && l.bag !== undefined && l.grams > 0
            ? [[l.ingredient, l.bag] as const]
            : [],
        ),
      ),
    named: bagName,
    settable: true,
  },
  leaven: {
    says: 'leaven',
    of({ made, formula }) {
      const keys = leavenKeys(made, formula);
      return one(keys.starter ?? keys.yeast);
    },
    named: (key, household) =>
      key.startsWith(ofBag)
        ? bagName(key.slice(ofBag.length), household)
        : key.slice(paceKey.length).replaceAll('-', ' '),
    settable: true,
  },
  device: {
    says: 'made',
    of: ({ method }) => one(method),
    named: (id) => devices[id as DeviceId]?.label ?? id,
    settable: true,
  },
  baker: {
    says: 'by',
    of: ({ state }) => one(state.baker),
    named: (id, household) => bakerName(id, household) ?? 'somebody who is gone',
    settable: true,
  },
  pan: {
    says: 'in',
    of: ({ state }) => one(state.divided?.pan),
    named: (id, { pans }) => pans.find((p) => p.id === id)?.name ?? 'a pan that is gone',
    settable: true,
  },
  form: {
    says: 'shaped to',
    of: ({ state }) => one(state.divided?.form),
    named: (form) => formRows[form as Form]?.label ?? form,
    settable: true,
  },
} as const satisfies Record<string, Trait>;

export type TraitId = keyof typeof traits;
export const traitIds = Object.keys(traits) as TraitId[];
export const traitOf = (id: TraitId): Trait => traits[id];

/** What a trait is of, where it is one of several: the flour of a bag. */
export const flourName = (id: string): string => (isIngredientId(id) ? ingredient(id).name : id);
