/** How long somebody has to be there: all through, at its start, at both its ends, or not at all. */
export type Attended = 'all' | 'start' | 'ends' | 'none';

/** What a step of a bake takes hold of. */
export type ResourceKind = 'oven' | 'mixer' | 'machine' | 'fridge';

/** All that is known of a kind of step, whatever the bread. */
interface StepKind {
  readonly label: string;
  readonly attended: Attended;
  /** Minutes of hands at its start, or at each of its ends, where it is not attended throughout. */
  readonly hands: number;
  readonly uses?: ResourceKind;
  /** Minutes that what it leaves may stand before the next step. */
  readonly keeps: number;
}

/** One row a kind of step, in the order in which a bread goes through them. Minutes are common practice, no source. */
export const stepKinds = {
  refresh: { label: 'Feed the starter to wake it', attended: 'start', hands: 5, keeps: 0 },
  feed: { label: 'Feed the starter', attended: 'all', hands: 0, keeps: 0 },
  preferment: { label: 'Stir the pre-ferment', attended: 'all', hands: 0, keeps: 0 },
  ripen: { label: 'It ripens', attended: 'none', hands: 0, keeps: 0 },
  soak: { label: 'Soak', attended: 'start', hands: 5, keeps: 0 },
  autolyse: { label: 'Flour and water rest', attended: 'start', hands: 5, keeps: 0 },
  mix: { label: 'Weigh, mix and knead', attended: 'all', hands: 0, keeps: 0 },
  freeze: { label: 'Into the freezer', attended: 'start', hands: 5, keeps: 0 },
  thaw: { label: 'Thaw in the fridge', attended: 'start', hands: 1, uses: 'fridge', keeps: 0 },
  'first-rise': { label: 'First rise', attended: 'none', hands: 0, keeps: 0 },
  chill: { label: 'Chill the dough', attended: 'start', hands: 3, uses: 'fridge', keeps: 10 },
  shape: { label: 'Divide and shape', attended: 'all', hands: 0, keeps: 0 },
  'final-proof': { label: 'Final proof', attended: 'none', hands: 0, keeps: 0 },
  heat: { label: 'Heat the oven', attended: 'start', hands: 1, uses: 'oven', keeps: 20 },
  bake: { label: 'Bake', attended: 'ends', hands: 3, uses: 'oven', keeps: 0 },
  programme: {
    label: 'The machine bakes it',
    attended: 'start',
    hands: 10,
    uses: 'machine',
    keeps: 20,
  },
  cool: { label: 'Cool before cutting', attended: 'none', hands: 0, keeps: 0 },
} as const satisfies Record<string, StepKind>;

export type StepKindId = keyof typeof stepKinds;
export const stepKindIds = Object.keys(stepKinds) as StepKindId[];
