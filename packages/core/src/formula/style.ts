/** Styles of bread: what the baker is after decides where the dough should stand. */
export const styles = {
  bagel: 'bagel',
  plait: 'plaited or enriched',
  rolls: 'rolls',
  pan: 'machine or tin loaf',
  'wholegrain-pan': 'whole-grain tin loaf',
  pizza: 'pizza',
  flatbread: 'flatbread',
  'hearth-white': 'hearth sourdough, white',
  'hearth-wholegrain': 'hearth sourdough, whole grain',
  'low-carb': 'low-carb',
} as const;

export type StyleId = keyof typeof styles;
export const styleIds = Object.keys(styles) as StyleId[];
