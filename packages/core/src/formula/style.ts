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

/** Each style as it stands in a sentence: "too loose for …". */
export const styleInSentence: Readonly<Record<StyleId, string>> = {
  bagel: 'bagels',
  plait: 'a plait or enriched loaf',
  rolls: 'rolls',
  pan: 'a machine or tin loaf',
  'wholegrain-pan': 'a whole-grain tin loaf',
  pizza: 'pizza',
  flatbread: 'flatbread',
  'hearth-white': 'a white hearth sourdough',
  'hearth-wholegrain': 'a whole-grain hearth sourdough',
  'low-carb': 'a low-carb bread',
};
