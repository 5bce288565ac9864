import { counted } from '../quantity/counted.ts';
import type { Place, Process, ProcessEnd } from '../formula/process.ts';
import type { Step } from '../formula/step.ts';
import type { Form } from '../style/form.ts';
import { clausesOf, sentencesOf } from './clauses.ts';
import { minutesSaid } from './minutes-said.ts';
import { ovenHeat } from './oven-heat.ts';
import { placeIn, processIn } from './process-in.ts';
import type { StepKindId } from './step-kind.ts';

/** One part of a step: the lid on, the lid off; the room, the fridge. */
export interface Phase {
  readonly minutes?: number;
  readonly mostMinutes?: number;
  readonly celsius?: number;
  readonly place?: Place;
  /** On it, or taken off. */
  readonly lid?: boolean;
  /** What begins it, in the recipe's words, where something is done then. */
  readonly says: string;
}

/** A step as the recipe has it: its sentence, what was read of it, and its parts one after another. */
export interface MethodStep {
  readonly says: string;
  readonly process: Process;
  /** One where it has no parts. */
  readonly phases: readonly Phase[];
  readonly overnight?: true;
  /** °C in the middle that ends it. */
  readonly core?: number;
}

/** Folds in a first rise: so many, every so many minutes. */
export interface Folds {
  readonly times: number;
  readonly every: number;
  readonly says: string;
}

/** What becomes of a sentence: the steps and matters that it speaks of. */
export interface MethodSentence {
  readonly says: string;
  readonly about: readonly (StepKindId | MatterId)[];
}

/** What a method says besides its steps. */
export type MatterId = 'folds' | 'shape' | 'brush' | 'score' | 'steam' | 'rack' | 'deed';

/** A recipe's method, read. */
export interface Method {
  readonly steps: Readonly<Partial<Record<StepKindId, MethodStep>>>;
  readonly sentences: readonly MethodSentence[];
  readonly folds?: Folds;
  readonly pieces?: number;
  readonly form?: Form;
  readonly rack?: 'low' | 'middle' | 'high';
  readonly matters: ReadonlySet<MatterId>;
  /** It says that nobody kneads. */
  readonly unkneaded?: true;
}

/** Where a method has come to. */
type Context = 'start' | 'ahead' | 'flour-water' | 'mixed' | 'shaped' | 'baking' | 'cooling';

/** What a clause is about by its words alone, the first that fits. */
const about: ReadonlyArray<readonly [words: RegExp, kind: StepKindId]> = [
  [/\bpre-?heat|\bheat (?:the|your|an) oven|\boven heats?\b/i, 'heat'],
  [
    /\bbake[ds]?\b(?!\s*(?:day|ware))|\b(?:into|in) (?:the|a|an)(?: \w+)? oven\b|\broast\b/i,
    'bake',
  ],
  [/\bcool\b|\bbefore (?:cutting|slicing)\b|^cut after\b/i, 'cool'],
  [/\bfeed\b|\brefresh(?:ed)? the (?:starter|levain)/i, 'feed'],
  [
    /\b(?:poolish|biga|pre-?ferment|sponge|levain|starter)\b.*\b(?:leave|ripen|rest|stand|peak|hours?)\b|\b(?:mix|stir) the (?:poolish|biga|pre-?ferment|sponge|levain)\b/i,
    'preferment',
  ],
  [/\bsoak/i, 'soak'],
  [/\bautolyse\b|\bflour and (?:the )?water\b.*\b(?:rest|stand)\b/i, 'autolyse'],
  [/\bfirst (?:rise|proof)\b|\bbulk\b/i, 'first-rise'],
  [
    /\bsecond (?:rise|proof)\b|\bfinal (?:rise|proof)\b|\bproof\b|\bprove\b|\bpuff|\bretard the shaped\b/i,
    'final-proof',
  ],
  [
    /\b(?:put|load|tip|pour|everything|all)\b[^.]*\b(?:bread[- ]?(?:machine|maker)|(?:its|the) pan of the machine)\b|\bdough (?:programme|program|cycle|setting)\b/i,
    'mix',
  ],
  [/\bknead|\bstir(?:red)?\b|\bcombine\b|\bmix(?:es|ed)?\b(?!\s+for \d+ (?:more )?hours)/i, 'mix'],
  [
    /\bshap(?:e|ed|ing)\b|\bdivide|\bplait|\bbraid|\bform (?:in)?to\b|\broll(?:ed)? (?:out|into)\b|\bcut in(?:to)? (?:two|half|three|\d|rounds)|^make (?:\d|two|three)/i,
    'shape',
  ],
  [/\bris(?:e|en|es|ing)\b|\bferment|\bdoubl|\btripl/i, 'first-rise'],
  [/\bfridge\b|\brefrigerat|\bchill\b|\bretard/i, 'first-rise'],
];
/** Something that hands do and no clock tells: it stands with the step that it comes before. */
const deeds =
  /^(?:(?:then|and|now|meanwhile|carefully|gently|lightly|finally|once \w+|day \d+\S*),?\s+)*(?:add|arrange|beat|boil|brush|butter|chop|cover|crush|cut|dimple|dip|dissolve|drain|drizzle|dust|empty|fill|flatten|flour|glaze|grate|grease|grind|invert|layer|lay|lift|line|load|melt|mill|moisten|move|oil|open|place|poach|pour|press|prick|put|remove|rinse|roll|rub|scald|scatter|scoop|score|scrape|seal|separate|serve|set|sift|simmer|slash|slide|slip|smooth|soften|spoon|spray|spread|sprinkle|stretch|strew|switch|take|tip|toast|top|transfer|tuck|turn|warm|wash|weigh|wet|whisk|wrap)\b/i;
const waits = /\b(?:leave|let|rest|stand|wait)\b/i;
/** What happened once, and is no step: "my oven took 40 minutes". */
const told = /\b(?:took|keeps|thinking|toast)\b/i;
const doNot = /\b(?:do not|don[’']t|without|never) knead|\bno[- ]knead|\bneeds no kneading/i;

/** Words of what goes on: "another 20", "then", "for 10 more". */
const goingOn = /\b(?:another|more|further|again|then|longer|remaining|continue)\b/i;

/** A rest of no more minutes before the kneading is part of the work. Own choice, no source. */
const shortRest = 20;

const isRise = (kind: StepKindId): boolean => kind === 'first-rise' || kind === 'final-proof';

/** The kind of a clause where the method has come so far. */
function kindOf(
  clause: string,
  context: Context,
  before: StepKindId | undefined,
): StepKindId | undefined {
  if (told.test(clause)) return undefined;
  const named = about.find(([words]) => words.test(clause))?.[1];
  if (named === 'first-rise' && context === 'shaped' && !/\bbulk|\bfirst\b/i.test(clause))
    return 'final-proof';
  if (named === 'heat' && /\bbefore baking\b/i.test(clause)) return 'heat';
  if (named) return named;
  const timed =
    minutesSaid(clause, before !== undefined) !== undefined || /\bovernight\b/i.test(clause);
  if (waits.test(clause) && timed) {
    if (context === 'baking') return /\bin\b/i.test(clause) ? 'bake' : 'cool';
    if (context === 'cooling') return 'cool';
    if (context === 'shaped') return 'final-proof';
    if (context === 'ahead') return 'preferment';
    // Yeast that stands in its water is no dough.
    const short = (minutesSaid(clause, true)?.least ?? 60) <= 15;
    if (context === 'start' && short && !/\bdough\b/i.test(clause)) return undefined;
    return context === 'flour-water' ? 'autolyse' : 'first-rise';
  }
  // Nothing but figures: what was spoken of goes on, and a hot oven bakes.
  if (
    before &&
    (timed || placeIn(clause)) &&
    ['bake', 'mix', 'first-rise', 'final-proof'].includes(before)
  )
    return before;
  return timed && ovenHeat(clause) !== undefined && !/^after\b/i.test(clause) ? 'bake' : undefined;
}

const numbers: Readonly<Record<string, number>> = { once: 1, a: 1, twice: 2, half: 2, ...counted };
const number = String.raw`\d{1,3}|${Object.keys(numbers).join('|')}`;
const valueOf = (text: string): number => numbers[text.toLowerCase()] ?? Number(text);

/** Folds of a dough that rises; none of a thing that is folded in. */
function foldsIn(clause: string): Folds | undefined {
  if (!/\bfold(?:s|ed)?\b/i.test(clause) || /\bfold(?:ed)? (?:in|into)\b/i.test(clause))
    return undefined;
  const every =
    minutesSaid(
      /\bevery\b(.*)$/i.exec(clause)?.[1]?.replace(/^\s*half (?:an )?hour/i, ' half an hour') ?? '',
    ) ??
    minutesSaid(/(\d+ min\w*) apart/i.exec(clause)?.[1] ?? '') ??
    minutesSaid(/(\d+)[- ]min\w* intervals?/i.exec(clause)?.[0]?.replace('-', ' ') ?? '');
  const count = new RegExp(
    String.raw`\b(${number})\s+(?:times|sets?|folds?|turns|(?:coil|stretch)\s)|\b(once|twice)\b|\bfold (${number}) times`,
    'i',
  ).exec(clause);
  const times = count ? valueOf((count[1] ?? count[2] ?? count[3])!) : undefined;
  const after = [...clause.matchAll(/\bafter\s+(\d+|an hour|one hour)/gi)].map((m) =>
    /hour/i.test(m[1]!) ? 60 : Number(m[1]),
  );
  const listed = /\bfold\w* (?:it )?(?:at|after) (\d+(?:(?:,\s*|\s+and\s+)\d+)+)\s*min/i
    .exec(clause)?.[1]
    ?.match(/\d+/g);
  if (listed) return { times: listed.length, every: Number(listed[0]), says: clause };
  if (after.length > 1) return { times: after.length, every: after[0]!, says: clause };
  if (every) {
    const over = minutesSaid(
      /\b(?:over|for|during|in) the (?:next|first)((?:(?!\bfold|\bevery).)*)/i.exec(clause)?.[1] ??
        '',
    );
    const n = times ?? (over ? Math.round(over.least / every.least) : undefined);
    return n === undefined ? undefined : { times: n, every: every.least, says: clause };
  }
  const within = minutesSaid(/\bin the first(.*)$/i.exec(clause)?.[1] ?? '');
  if (times && within) return { times, every: Math.round(within.least / times), says: clause };
  return times && after.length === 1 ? { times, every: after[0]!, says: clause } : undefined;
}

/** What pieces are shaped to, by their words. */
const forms: ReadonlyArray<readonly [RegExp, Form]> = [
  [/\bplait|\bbraid|\bstrands?\b/i, 'plait'],
  [/\bballs?\b/i, 'balls'],
  [/\b(?:rolls|buns)\b/i, 'rolls'],
  [/\b(?:rings?|bagels?)\b/i, 'rings'],
  [/\b(?:sticks|baguettes)\b/i, 'sticks'],
  [/\broll(?:ed)? out\b|\brounds\b|\bflat\b/i, 'flat'],
  [/\bloa(?:f|ves)\b/i, 'loaf'],
];
/** What is divided, and nothing else: butter is cut into cubes, a loaf into slices. */
const divided = new RegExp(
  String.raw`\b(?:divide|cut|split|portion)(?:\s+(?:it|the (?:\w+ )?dough|dough))?(?:\s+(?:equally|evenly|again|up))*\s+(?:in|into|in to|between|among)\s+(?:the\s+)?(${number.replace('|a|', '|')})\b(?!\s*-?(?:mm|cm|inch|g\b|min|hours?|slices|cubes))`,
  'i',
);
const shaped = new RegExp(
  String.raw`\b(?:shape|form|make|roll)(?:\s+(?:it|them|the dough))?(?:\s+(?:in|into|up|out))*\s+(${number.replace('|a|', '|')})\s+(?:\w+\s+){0,2}(?:loaves|balls|rolls|buns|bagels|rings|pieces|baguettes|sticks|rounds|strands|pizzas|pies|flatbreads)\b`,
  'i',
);

/** One pass over a method. */
class Reading {
  readonly steps = new Map<
    StepKindId,
    { says: string; process: Process; phases: Phase[]; overnight?: true; core?: number }
  >();
  readonly sentences: MethodSentence[] = [];
  readonly matters = new Set<MatterId>();
  folds: Folds | undefined;
  pieces: number | undefined;
  form: Form | undefined;
  rack: Method['rack'];
  unkneaded = false;
  #context: Context = 'start';
  #before: StepKindId | undefined;
  /** What the next part of a bake brings with it: the lid off, the heat turned down. */
  #next: { celsius?: number; lid?: boolean } = {};

  sentence(says: string): void {
    const about = new Set<StepKindId | MatterId>();
    for (const clause of clausesOf(says))
      for (const id of this.#clause(clause, says)) about.add(id);
    this.sentences.push({ says, about: [...about] });
  }

  #clause(clause: string, says: string): Array<StepKindId | MatterId> {
    const found: Array<StepKindId | MatterId> = this.#matters(clause);
    if (doNot.test(clause)) {
      this.unkneaded = true;
      if (!this.steps.has('mix')) this.#phase('mix', says, {});
      this.#moves('mix', clause);
      return [...found, 'mix'];
    }
    const folds = foldsIn(clause);
    if (folds) {
      this.folds ??= folds;
      found.push('folds');
      if (!/\b(?:bulk|rise|ferment)\b/i.test(clause)) return found;
    }
    const kind = this.#again(kindOf(clause, this.#context, this.#before), clause, says);
    if (!kind) {
      this.#turns(clause, says);
      return found;
    }
    const rest = folds ? clause.replace(/\bwith\b.*$/i, '') : clause;
    this.#takes(kind, rest, says);
    return [...found, kind];
  }

  /** A rise in another sentence than the first, in the same place, is the last one: nobody said that it was shaped. */
  #again(kind: StepKindId | undefined, clause: string, says: string): StepKindId | undefined {
    const first = this.steps.get('first-rise');
    const again =
      kind === 'first-rise' &&
      first?.phases[0]?.minutes !== undefined &&
      first.says !== says &&
      minutesSaid(clause, true) !== undefined &&
      !placeFor(clause) &&
      !/\bbulk\b/i.test(clause);
    return again ? 'final-proof' : kind;
  }

  /** What is said of it that no clock tells. */
  #matters(clause: string): MatterId[] {
    const found: MatterId[] = [];
    if (/\b(?:brush|glaze)\b/i.test(clause)) found.push('brush');
    if (/\b(?:score|slash)\b/i.test(clause)) found.push('score');
    if (
      /\bsteam\b|\bspray the oven\b|\bwater (?:in|into|on) (?:a|the) (?:hot )?(?:tray|pan|floor)/i.test(
        clause,
      )
    )
      found.push('steam');
    const rack = /\b(lowest|low|lower|bottom|middle|top|upper|highest) (?:rack|shelf|third)/i
      .exec(clause)?.[1]
      ?.toLowerCase();
    if (rack) {
      this.rack ??= /^(?:low|bottom)/.test(rack) ? 'low' : rack === 'middle' ? 'middle' : 'high';
      found.push('rack');
    }
    const many = (divided.exec(clause) ?? shaped.exec(clause))?.[1];
    if (many && this.pieces === undefined) this.pieces = valueOf(many);
    if (/\b(?:divide|cut|shape|make|form|plait|braid|roll)\b/i.test(clause)) {
      const form = forms.find(([words]) => words.test(clause))?.[1];
      if (form && (this.form === undefined || this.form === 'loaf')) this.form = form;
      if (many || form) found.push('shape');
    }
    if (deeds.test(clause)) found.push('deed');
    for (const matter of found) this.matters.add(matter);
    return found;
  }

  /** "Take the lid off", "after 10 minutes turn down to 200 °C": the parts of a bake, between which something is done. */
  #turns(clause: string, says: string): void {
    // "Score, cover, and bake": a lid, where nothing rises any more.
    if (/^cover(?: it| the pot)?\b/i.test(clause) && /\bbake\b/i.test(says))
      this.#next = { ...this.#next, lid: true };
    const after = /\bafter\b/i.test(clause) ? minutesSaid(clause) : undefined;
    const baking = this.#context === 'baking' || /\b(?:tin|oven|lid)\b/i.test(clause);
    if (after && baking) {
      this.#phase('bake', says, {
        minutes: after.least,
        ...(after.most === undefined ? {} : { mostMinutes: after.most }),
      });
      this.#context = 'baking';
      this.#before = 'bake';
    }
    if (this.#context !== 'baking' && !/\bstart at\b/i.test(clause)) return;
    const celsius = ovenHeat(clause);
    if (celsius !== undefined) this.#next = { ...this.#next, celsius };
    if (/\bstart at\b/i.test(clause)) this.#context = 'baking';
    const lid = lidIn(clause);
    if (lid !== undefined) this.#next = { ...this.#next, lid };
  }

  #phase(kind: StepKindId, says: string, phase: Omit<Phase, 'says'>): void {
    const step = this.steps.get(kind);
    const last = step?.phases.at(-1);
    const full: Phase = {
      ...(kind === 'bake' && last?.celsius !== undefined ? { celsius: last.celsius } : {}),
      ...(kind === 'bake' ? this.#next : {}),
      ...phase,
      says,
    };
    if (kind === 'bake') this.#next = {};
    if (step) step.phases.push(full);
    else this.steps.set(kind, { says, process: {}, phases: [full] });
  }

  #takes(kind: StepKindId, clause: string, says: string): void {
    const going = this.#before === kind || (kind === 'bake' && this.steps.has('bake'));
    const time =
      kind === 'heat' && /\bbefore\b/i.test(clause)
        ? undefined
        : minutesSaid(clause, going || kind === 'bake' || isRise(kind));
    const process = processIn(clause) ?? {};
    const celsius = kind === 'bake' || kind === 'heat' ? ovenHeat(clause) : undefined;
    const core = kind === 'bake' && process.end === 'core' ? coreIn(clause) : undefined;
    const place = isRise(kind) ? placeFor(clause) : undefined;
    const lid = kind === 'bake' ? lidIn(clause) : undefined;
    const overnight = /\bovernight\b/i.test(clause);
    const end: ProcessEnd | undefined =
      process.end === 'core' && kind !== 'bake' ? undefined : process.end;
    const phase = {
      ...(time ? { minutes: time.least } : {}),
      ...(time?.most === undefined ? {} : { mostMinutes: time.most }),
      ...(celsius === undefined ? {} : { celsius }),
      ...(place ? { place } : {}),
      ...(lid === undefined ? {} : { lid }),
    };
    // Stirring flour and water is the beginning of their rest.
    if (kind === 'autolyse' && this.steps.get('mix')?.phases[0]?.minutes === undefined)
      this.steps.delete('mix');
    this.#moves(kind, clause);
    const step = this.steps.get(kind);
    if (!step) {
      this.#phase(kind, says, phase);
    } else if (kind === 'mix') {
      // Kneading counts, not stirring; two paces of a mixer are two parts of it.
      const kneads = /\bknead/i.test(clause);
      if (kneads && time) step.phases.splice(0, step.phases.length, { ...phase, says });
      else if (time) step.phases.push({ ...phase, says });
      if (kneads) this.#forgetRest();
    } else if (time || place || overnight) this.#grow(kind, says, phase, clause);
    else this.#fill(kind, phase);
    const now = this.steps.get(kind)!;
    if (end) now.process = { ...now.process, end: now.process.end ?? end };
    if (core !== undefined) now.core ??= core;
    if (overnight) now.overnight = true;
    this.#before = kind;
  }

  /** A part of a step that is known already: a new one, or what its last one lacked. */
  #grow(kind: StepKindId, says: string, phase: Omit<Phase, 'says'>, clause: string): void {
    const step = this.steps.get(kind)!;
    const last = step.phases.at(-1)!;
    const all = /\bin all\b|\bin total\b|\baltogether\b/i.test(clause);
    if (all && phase.minutes !== undefined) {
      const done = step.phases.reduce((sum, p) => sum + (p.minutes ?? 0), 0);
      return this.#phase(kind, says, { ...phase, minutes: phase.minutes - done });
    }
    if (last.minutes === undefined && phase.minutes !== undefined && last.place === phase.place)
      step.phases[step.phases.length - 1] = { ...last, ...this.#next, ...phase };
    else if ((kind === 'bake' || isRise(kind)) && this.#goesOn(last, phase, clause, says))
      this.#phase(kind, says, phase);
  }

  /** What is said again in another sentence goes on only where it says so; else the first time counts. */
  #goesOn(last: Phase, phase: Omit<Phase, 'says'>, clause: string, says: string): boolean {
    const changed =
      Object.keys(this.#next).length > 0 || phase.lid !== undefined || phase.place !== undefined;
    return last.says === says || changed || goingOn.test(clause);
  }

  #fill(kind: StepKindId, phase: Omit<Phase, 'says'>): void {
    const step = this.steps.get(kind)!;
    const last = step.phases.at(-1)!;
    if (kind === 'bake' && last.minutes !== undefined) this.#next = { ...this.#next, ...phase };
    else step.phases[step.phases.length - 1] = { ...phase, ...last };
  }

  /** A rest before the kneading is none of the rise: a short one is part of the work, a long one an autolyse. */
  #forgetRest(): void {
    const rise = this.steps.get('first-rise');
    const [rest] = rise?.phases ?? [];
    if (!rise || !rest?.minutes || rise.process.end || rest.place) return;
    this.steps.delete('first-rise');
    if (rest.minutes > shortRest && !this.steps.has('autolyse')) this.steps.set('autolyse', rise);
  }

  #moves(kind: StepKindId, clause: string): void {
    if (kind === 'mix') {
      const two =
        /\bflour and (?:the )?water\b/i.test(clause) &&
        !/\b(?:salt|yeast|starter|everything|all)\b/i.test(clause);
      this.#context = two ? 'flour-water' : 'mixed';
    } else if (kind === 'preferment' || kind === 'feed') this.#context = 'ahead';
    else if (kind === 'shape') this.#context = 'shaped';
    else if (kind === 'final-proof') this.#context = 'shaped';
    else if (kind === 'bake') this.#context = 'baking';
    else if (kind === 'cool') this.#context = 'cooling';
    else if (kind === 'autolyse' || kind === 'first-rise')
      this.#context = this.#context === 'shaped' ? 'shaped' : 'mixed';
  }
}

/** The lid, or what covers it in the oven: on, taken off, or not spoken of. */
function lidIn(clause: string): boolean | undefined {
  if (
    /\buncover|\blid off\b|\b(?:take|remove|lift)[^.]*\blid\b|\bwithout (?:it|the lid|lid)\b|^\d+(?:\s*(?:-|–|to)\s*\d+)?(?: min\w*)? without\b|\bremove the (?:cover|foil)\b/i.test(
      clause,
    )
  )
    return false;
  return /\bcovered\b|\blid on\b|\bwith (?:its |the |a )?lid\b|\bunder (?:a|the) lid\b/i.test(
    clause,
  )
    ? true
    : undefined;
}

/** Where a dough stands; that a rise is overnight says nothing of it. */
function placeFor(clause: string): Place | undefined {
  if (/\bfridge\b|\brefrigerat|\bretard|\bchill/i.test(clause)) return 'fridge';
  if (/\bwarm (?:place|spot)|\bproof(?:er|ing box)/i.test(clause)) return 'warm';
  return /\bin the room\b|\broom temp|\bcounter\b/i.test(clause) ? 'room' : undefined;
}

/** °C that a bread has in its middle when it is done. */
function coreIn(clause: string): number | undefined {
  const celsius = [...clause.matchAll(/(\d{2,3})\s*(?:°|º)?\s*C\b/g)]
    .map((m) => Number(m[1]))
    .find((c) => c >= 60 && c <= 105);
  if (celsius !== undefined) return celsius;
  const fahrenheit = [...clause.matchAll(/(\d{3})\s*(?:°|º)?\s*F\b/g)]
    .map((m) => Number(m[1]))
    .find((f) => f >= 140 && f <= 215);
  return fahrenheit === undefined ? undefined : Math.round(((fahrenheit - 32) * 5) / 9);
}

/**
 * What a recipe's method says, sentence by sentence and clause by clause: its steps with their parts, folds, pieces,
 * what is done before the oven; and for each sentence what it is about, or nothing.
 *
 * @example methodIn([{says: 'Bake at 230 °C for 10 minutes, then at 210 °C for 25.'}]).steps.bake.phases.length // 2
 */
export function methodIn(steps: readonly Pick<Step, 'says'>[]): Method {
  const reading = new Reading();
  for (const says of steps.flatMap((s) => sentencesOf(s.says))) reading.sentence(says);
  const { folds, pieces: many, form, rack, matters, sentences, unkneaded } = reading;
  return {
    steps: Object.fromEntries(
      [...reading.steps].map(([kind, step]) => [
        kind,
        whole(step, kind === 'bake' && !inMachine(step, reading)),
      ]),
    ),
    sentences,
    matters,
    ...(folds ? { folds } : {}),
    ...(many !== undefined ? { pieces: many } : {}),
    ...(form ? { form } : {}),
    ...(rack ? { rack } : {}),
    ...(unkneaded ? { unkneaded } : {}),
  };
}

/** A loaf that is loaded into a machine and neither shaped nor given an oven's heat is baked there. */
function inMachine(
  { says, phases }: { readonly says: string; readonly phases: readonly Phase[] },
  { sentences, steps }: Reading,
): boolean {
  if (placeIn(says) === 'machine') return true;
  const hot = phases.some((p) => p.celsius !== undefined) || /\boven\b/i.test(says);
  return !hot && !steps.has('shape') && sentences.some((s) => ofMachine.test(s.says));
}
const ofMachine = /\bbread[- ]?(?:machine|maker)\b/i;

/** A step with what its parts come to: the time of all, the warmth and the place of the first. */
function whole(
  step: {
    says: string;
    process: Process;
    phases: Phase[];
    overnight?: true;
    core?: number;
  },
  oven: boolean,
): MethodStep {
  const timed = step.phases.filter((p) => p.minutes !== undefined);
  const known = timed.length > 0 && timed.length === step.phases.length;
  const minutes = timed.reduce((sum, p) => sum + p.minutes!, 0);
  const most = timed.reduce((sum, p) => sum + (p.mostMinutes ?? p.minutes!), 0);
  const place = step.phases.find((p) => p.place)?.place;
  const celsius = step.phases.find((p) => p.celsius !== undefined)?.celsius;
  // "20 minutes covered, then 20 uncovered, at 230 °C": what is said once, at the end, is said of all.
  const last = step.phases.at(-1);
  const once =
    step.phases.filter((p) => p.celsius !== undefined).length === 1 && last?.celsius !== undefined;
  const turned =
    /\b(?:lower|reduce|turn (?:it |the \w+ )?(?:down|up)|then at|increase|raise)\b/i.test(
      last?.says ?? '',
    );
  const phases =
    once && !turned ? step.phases.map((p) => ({ ...p, celsius: last.celsius! })) : step.phases;
  return {
    ...step,
    phases,
    process: {
      ...step.process,
      ...(known ? { minutes } : {}),
      ...(known && most > minutes ? { mostMinutes: most } : {}),
      ...(celsius === undefined ? {} : { celsius }),
      ...(place ? { place } : {}),
      ...(oven ? { place: 'oven' as const } : {}),
    },
  };
}
