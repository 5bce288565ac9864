/**
 * Things of 13 recipes of each kind of writer, and how many were right, asked about, wrong and gone, as the reader read
 * them on the day on which the kinds were written down, before it was mended for any of them. They stand for good.
 */
export const firstScores: Readonly<
  Record<
    string,
    readonly [things: number, right: number, asked: number, wrong: number, gone: number]
  >
> = {
  'a British list': [89, 83, 6, 0, 0],
  'an Irish list': [85, 74, 11, 0, 0],
  'an Australian list': [90, 74, 13, 3, 3],
  'an Indian list': [78, 71, 7, 0, 0],
  'an American list of grams': [92, 92, 0, 0, 0],
  'a German list': [89, 3, 86, 0, 0],
  'a French list': [83, 4, 79, 0, 0],
  'an Italian list': [90, 11, 79, 0, 0],
  'an American with cups': [84, 84, 0, 0, 0],
  'cups with grams behind': [82, 82, 0, 0, 0],
  'pounds and ounces': [82, 82, 0, 0, 0],
  'name first': [84, 74, 10, 0, 0],
  'baker’s percentages beside': [77, 75, 1, 0, 1],
  'a table of a spreadsheet': [82, 76, 6, 0, 0],
  'a table of kilos': [80, 73, 7, 0, 0],
  'chatter between rows': [87, 86, 1, 0, 0],
  'one sentence': [85, 79, 6, 0, 0],
  'all on one line': [83, 72, 2, 0, 9],
  'amounts in the method alone': [82, 0, 0, 0, 82],
  'a page': [78, 78, 0, 0, 0],
  'a page with its data': [78, 75, 3, 0, 0],
  'a levain that is built': [111, 111, 0, 0, 0],
  'starter by the gram': [83, 81, 2, 0, 0],
  'remarks behind': [84, 84, 0, 0, 0],
  'a share kept back': [99, 96, 3, 0, 0],
  'a choice in a row': [82, 81, 1, 0, 0],
  ranges: [86, 80, 6, 0, 0],
  'things for outside': [106, 99, 7, 0, 0],
  'stages by the clock': [85, 85, 0, 0, 0],
  'a scan': [83, 75, 8, 0, 0],
  'words for figures': [66, 66, 0, 0, 0],
  'a handful and a pinch': [87, 73, 14, 0, 0],
};
