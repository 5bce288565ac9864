/** How long somebody has to be there: all through, at its start, at both its ends, or not at all. */
export type Attended = 'all' | 'start' | 'ends' | 'none';

/** What a step of a bake takes hold of. */
export type ResourceKind = 'oven' | 'mixer' | 'machine' | 'fridge';

/** All that is known of a kind of step, whatever the bread. */
interface StepKind {
  readonly label: string;
  /** One of its words, where there is room for no more. */
  readonly short: string;
  readonly attended: Attended;
  /** Minutes of hands at its start, or at each of its ends, where it is not attended throughout. */
  readonly hands: number;
  readonly uses?: ResourceKind;
  /** Minutes that what it leaves may stand before the next step. */
  readonly keeps: number;
}

/** One row a kind of step, in the order in which a bread goes through them. Minutes are common practice, no source. */
export const stepKinds = {
  refresh: {
    label: 'Feed the starter to wake it',
    short: 'Feed',
    attended: 'start',
    hands: 5,
    keeps: 0,
  },
  feed: { label: 'Feed the starter', short: 'Feed', attended: 'all', hands: 0, keeps: 0 },
  preferment: { label: 'Stir the pre-ferment', short: 'Stir', attended: 'all', hands: 0, keeps: 0 },
  ripen: { label: 'Let it ripen', short: 'Ripen', attended: 'none', hands: 0, keeps: 0 },
  soak: { label: 'Soak', short: 'Soak', attended: 'start', hands: 5, keeps: 0 },
  autolyse: { label: 'Flour and water rest', short: 'Rest', attended: 'start', hands: 5, keeps: 0 },
  mix: { label: 'Weigh, mix and knead', short: 'Mix', attended: 'all', hands: 0, keeps: 0 },
  freeze: { label: 'Into the freezer', short: 'Freezer', attended: 'start', hands: 5, keeps: 0 },
  thaw: {
    label: 'Thaw in the fridge',
    short: 'Thaw',
    attended: 'start',
    hands: 1,
    uses: 'fridge',
    keeps: 0,
  },
  'first-rise': { label: 'First rise', short: 'First rise', attended: 'none', hands: 0, keeps: 0 },
  chill: {
    label: 'Chill the dough',
    short: 'Chill',
    attended: 'start',
    hands: 3,
    uses: 'fridge',
    keeps: 10,
  },
  shape: { label: 'Divide and shape', short: 'Shape', attended: 'all', hands: 0, keeps: 0 },
  'final-proof': {
    label: 'Final proof',
    short: 'Final proof',
    attended: 'none',
    hands: 0,
    keeps: 0,
  },
  heat: {
    label: 'Heat the oven',
    short: 'Oven',
    attended: 'start',
    hands: 1,
    uses: 'oven',
    keeps: 20,
  },
  bake: { label: 'Bake', short: 'Bake', attended: 'ends', hands: 3, uses: 'oven', keeps: 0 },
  programme: {
    label: 'The machine bakes it',
    short: 'Machine',
    attended: 'start',
    hands: 10,
    uses: 'machine',
    keeps: 20,
  },
  cool: { label: 'Cool before cutting', short: 'Cool', attended: 'none', hands: 0, keeps: 0 },
} as const satisfies Record<string, StepKind>;

export type StepKindId = keyof typeof stepKinds;
export const stepKindIds = Object.keys(stepKinds) as StepKindId[];
