/**
 * What bakers of other countries call things, where no phrase of flour is meant: Ireland, Australia and India write
 * English, and still other words. From memory, no source.
 */
export const wordsAbroad: Readonly<Record<string, string>> = {
  // Germany, Austria, Switzerland
  water:
    'h2o, wasser, lauwarmes wasser, warmes wasser, kaltes wasser, eau, eau tiede, eau froide, eau chaude, acqua, acqua tiepida, acqua fredda, vatten, agua, vann',
  salt: 'salz, meersalz, feines salz, sel, sel fin, sel de mer, sale, sale fino, sale marino, salt fin, sal, gist zout, zout, smoked salt, pickling salt',
  'fresh-yeast':
    'hefe, hefe frisch, frische hefe, frischhefe, backhefe, hefewurfel, levure fraiche, levure de boulanger, levure de boulanger fraiche, lievito fresco, lievito di birra, lievito di birra fresco',
  'active-dry-yeast':
    'trockenhefe, trockenbackhefe, levure seche, levure seche active, levure de boulanger seche, lievito secco, lievito di birra secco, lievito secco attivo',
  'instant-yeast':
    'instanthefe, levure instantanee, levure rapide, lievito istantaneo, yeast granule, easy blend yeast, easy blend dried yeast, instant yeast granule',
  milk: 'milch, vollmilch, lauwarme milch, warme milch, lait, lait entier, lait tiede, latte, latte intero, mjolk, leche',
  buttermilk: 'buttermilch, lait ribot, babeurre, latticello',
  butter:
    'weiche butter, butter weich, beurre, beurre doux, beurre mou, burro, burro morbido, smor, mantequilla',
  sugar: 'zucker, sucre, sucre en poudre, sucre semoule, zucchero, azucar',
  honey: 'honig, miel, miele',
  oil: 'ol, olivenol, rapsol, sonnenblumenol, huile, huile d olive, huile dolive, huile de tournesol, olio, olio di oliva, olio doliva, olio extravergine, olio extravergine di oliva, olio extravergine doliva, olio evo, aceite, evoo, sunflower seed oil, walnut oil, sesame oil, corn oil, peanut oil, grapeseed oil, rice bran oil, hazelnut oil, linseed oil',
  egg: 'ei, eier, oeuf, oeufs, uovo, uova, huevo',
  'egg-yolk': 'eigelb, jaune d oeuf, jaune doeuf, tuorlo, tuorli',
  yoghurt: 'joghurt, naturjoghurt, yaourt, yaourt nature, dahi, curd',
  cream: 'sahne, schlagsahne, creme, creme liquide, panna',
  'rolled-oats': 'haferflocken, flocons d avoine, flocons davoine, fiocchi d avena, fiocchi davena',
  seeds:
    'sunflower kernel, sunflower kernels, pumpkin kernel, sonnenblumenkerne, kurbiskerne, kurbiskern, sonnenblumenkern, mohn, saatenmischung, graines de tournesol, graines de courge, semi di girasole',
  'sesame-seeds': 'sesam, graines de sesame, semi di sesamo',
  raisins: 'rosinen, raisins secs, raisin sec, uvetta',
  walnuts: 'walnusse, haselnusse, nusse, noix, noisettes, noci, nocciole',
  'linseed-whole': 'leinsamen, graines de lin, semi di lino',
  'barley-malt': 'backmalz, gerstenmalz, malz, malt d orge',
  vinegar: 'essig, apfelessig, vinaigre, aceto',
  'plain-flour': 'maida, refined flour, cream plain flour',
  'semolina-coarse': 'sooji, suji, rava, rawa, griess',
  durum: 'semola, semola rimacinata',
  jaggery: 'gur',
  ghee: 'desi ghee, clarified ghee',
  molasses: 'melasse',
  xylitol: 'birch sugar, birch xylitol, xylit',
  'malted-flour': 'country grain flour, country grain bread flour, multigrain flour with malt',
  'rye-dark': 'pumpernickel, pumpernickel meal',
  'vital-gluten': 'vwg',
  'oat-fibre': 'oat hull, oat hulls, oat hull fibre, oat hull fiber',
  psyllium: 'psyllium seed husk, psyllium seed husks, flohsamenschalen',
  'whey-powder': 'whey protein isolate, whey protein concentrate',
  'coarse-salt': 'sea salt flakes, salt flakes, smoked sea salt flakes',
  'flour-1050': 'wheatmeal, wheatmeal flour',
  'baking-soda': 'natron, bread soda, cooking soda',
  'baking-powder': 'backpulver, levure chimique, lievito per dolci',
};
