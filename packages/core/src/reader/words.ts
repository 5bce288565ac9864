import type { Role } from '../ingredient/role.ts';

/** Lower case, no accents, no marks, one space, no plural s: what two spellings have in common. */
export const wordsOf = (text: string): string[] =>
  text
    .replace(/œ/gi, 'oe')
    .replace(/ß/g, 'ss')
    .normalize('NFD')
    .replace(/[\u0300-\u036f'’]/g, '')
    .toLowerCase()
    .split(/[^a-z0-9]+/)
    .filter(Boolean)
    .map(singular);

const singular = (word: string): string =>
  word.length > 4 && /(?:toes|shes|ches)$/.test(word)
    ? word.slice(0, -2)
    : word.length > 4 && word.endsWith('ies')
      ? `${word.slice(0, -3)}y`
      : word.length > 3 && word.endsWith('s') && !word.endsWith('ss')
        ? word.slice(0, -1)
        : word;

const set = (words: string): ReadonlySet<string> => new Set(words.split(/\s+/).flatMap(wordsOf));

/**
 * Words that change nothing, of anything: how warm, how good, how it is cut. What else stands with a name
 * might make another thing of it, and is never passed over.
 */
const ofAnything =
  set(`warm lukewarm tepid cold cool cooled chilled hot iced boiling boiled scalded very room
  temperature temp organic local good best quality of the some my your our each ordinary normal usual shop
  bought traditional favourite favorite preferred natural optional divided finely coarsely roughly thinly
  chopped sliced diced cubed cut into piece small medium large big extra softened melted soft beaten whisked
  lightly well strained drained rinsed peeled cored pitted level heaped packed firmly loosely scant generous
  rounded about roughly approximately approx fine homemade home made store freshly fresh raw real pure
  additional grated shredded frozen thawed defrosted sieved sifted total in at to taste needed just off still slightly gently and`);

/** Words that change nothing of things of one role. */
const ofRole: Readonly<Partial<Record<Role, ReadonlySet<string>>>> = {
  flour:
    set(`unbleached bleached stoneground stone ground enriched bag bagged biodynamic heritage milled
    roller untreated english french italian german canadian american stone-ground finely fine quality
    premium type white standard household`),
  gluten: set('pure'),
  liquid:
    set(`bottled filtered filter spring mineral tap running full fat unsweetened plain pasteurised
    pasteurized hand body blood distilled purified clean drinking ripe from carton floury waxy starchy peeled free range dairy skin`),
  egg: set(
    'lg sm med free range whole size yard farm hen chicken organic grade cage beaten separated xl l m s us eu',
  ),
  fat: set(`virgin mild light cold pressed cubed stick block dairy european grass fed olive for neutral
    flavourless flavorless refined unrefined good tasting vegetable`),
  sugar:
    set(`runny clear set wildflower clover acacia raw liquid local unrefined organic golden grade amber
    blackstrap real pure mild granulated caster superfine`),
  salt: set('fine sea table iodised iodized non ground grey pure unrefined cooking celtic finely'),
  leaven: set(`baker bakers dry granule quick rise rising action active dried sachet
    crumbled strong`),
  powder: set('nonfat non fat skimmed low heat spray dried full'),
  grain:
    set(`old fashioned jumbo whole thick rolled toasted roasted gluten free certified flake porridge
    traditional`),
  addIn:
    set(`toasted roasted whole half halves shelled unsalted salted blanched skinned crushed grated
    crumbled mature sharp mild strong ripe sweet red white yellow brown black golden jumbo seedless
    unsulphured dried mixed caramelised caramelized fried sauteed minced hulled ground stoned sun plump
    cooked leaf leaves bunch sprig unwaxed organic`),
  meal: set('golden brown finely milled fine blanched ground raw superfine'),
  fibre: set('whole fine finely ground powder blond organic'),
  bran: set('coarse fine raw toasted unprocessed natural'),
  improver: set(
    'diastatic white dark powder ground aluminium aluminum free double acting granular liquid',
  ),
  sweetener: set('granulated powdered liquid pure golden'),
};

/** Whether a word says nothing that makes another thing of a thing of this role. */
export const changesNothing = (word: string, role: Role): boolean =>
  ofAnything.has(word) || (ofRole[role]?.has(word) ?? false);

/** How a note begins that says what for or how, and not what: "(for the yeast)", ", plus more to dust". */
const prose =
  /^(?:for|to|or|see|plus|such as|like|e\.?g|i\.?e|i |we |you |use|used|using|if|as|about|approx|around|ca\b|from|at|not|more|depending|adjust|optional|divided|note|preferably|ideally|until|when|made|mixed|dissolved|diluted|enough|then|which|that|with|straight|left|leftover|mine|roughly|equivalent|equals?|reserve|taken|should|may|can|will|without|the |it |its |this |they |in total|total|each|\d|~|≈|½|¼|¾)/i;

/** Whether a note takes part in a name: short, and neither a reason nor a figure. */
export const isProse = (note: string): boolean =>
  !/^(?:type|tipo|t)?[\s-]*\d{2,4}$/i.test(note.trim()) &&
  (prose.test(note.trim()) || /\d|°/.test(note) || note.trim().split(/\s+/).length > 5);
