import { capital } from '../quantity/capital.ts';
import type { OutsideUse } from '../formula/beside.ts';
import type { StageKind } from '../formula/formula.ts';
import { starterKind } from './starter.ts';

/** What a heading opens. */
type Section =
  | { readonly opens: 'stage'; readonly kind: StageKind; readonly name: string }
  | { readonly opens: 'outside'; readonly use: OutsideUse }
  | { readonly opens: 'method' | 'notes' };

const outside: ReadonlyArray<readonly [RegExp, OutsideUse]> = [
  [/\b(?:egg ?wash|glaze|wash|icing|frosting|brushing)\b/i, 'glaze'],
  [/\b(?:filling|fillings|spread)\b/i, 'filling'],
  [
    /\b(?:toppings?|crust|sprinkl\w*|garnish|to finish|finishing|streusel|crumble|decorat\w*|to serve|for serving)\b/i,
    'topping',
  ],
  [/\b(?:dusting|rolling|greasing|for the (?:tin|pan|bowl|bench)|shaping)\b/i, 'dusting'],
  [/\b(?:boiling|poaching|water bath|boil)\b/i, 'boil'],
];

/** The bare words of a heading. */
export const bareHeading = (text: string): string =>
  text
    .replace(/^#+\s*/, '')
    .replace(/\([^)]*\)/g, '')
    .replace(/^(?:step|part|stage)\s*\d*\s*[:.–—-]\s*/i, '')
    .replace(/^[*_=\s-]+|[*_=:\s–—-]+$/g, '')
    .trim();

const named = (bare: string): string => bare.toLowerCase().replace(/^for (?:the |a )?/, '');

/** Words that headings of what is outside the dough are made of, and lines are not. */
const headingWords = new Set(
  `for the to a optional ingredients and or egg milk cinnamon seed seeded sugar cheese onion herb butter nut
  bread loaf tin pan bowl bench wash eggwash glazing glaze icing frosting brushing filling fillings spread
  topping toppings crust sprinkling garnish finish finishing streusel crumble decoration decorating serve
  serving dusting rolling greasing shaping boiling poaching water bath boil`.split(/\s+/),
);
const onlyHeading = (bare: string): boolean =>
  bare
    .toLowerCase()
    .split(/[\s-]+/)
    .every((word) => headingWords.has(word));

const whenDone =
  /\s*[,(–—-]\s*(?:(?:in )?(?:the )?(?:next|same|following|first|second|third)?\s*(?:day|morning|evening|night|afternoon|later)|overnight|tomorrow|the day (?:before|after)|the night before)\)?$/i;
/** A part that has a number and no name: the dough goes on. */
const byNumber = /^(?:stage|step|part|phase|mix)\s*(?:\d|one|two|three|four|[ivx]{1,4})$/i;

/**
 * What the heading of a part opens: "For the poolish:", "Levain build", "Day 2", "Egg wash", "Method".
 *
 * @returns undefined where it is no heading that is known
 * @example sectionOf('The night before')?.opens // 'stage'
 */
export function sectionOf(text: string): Section | undefined {
  const whole = bareHeading(text);
  // "Dough, next day", "Day 1, evening": when it is done opens nothing of its own.
  const bare = whole.replace(whenDone, '').trim() || whole;
  const words = bare.split(/\s+/);
  if (!bare || words.length > 6) return undefined;
  if (byNumber.test(bare)) return { opens: 'stage', kind: 'dough', name: 'Dough' };
  const name = capital(named(bare));
  if (
    /^(?:method|methods|instructions?|directions?|steps?|preparation|procedure|process|what to do|how to(?: make.*)?|to make(?: the bread)?|making.*|baking|assembly|mixing|shaping|timeline|schedule)$/i.test(
      bare,
    )
  ) {
    return { opens: 'method' };
  }
  if (
    /^(?:(?:recipe )?notes?|tips?(?: .*)?|variations?|nutrition(?: .*)?|equipment|storage|storing|about.*|faq|comments?|video|tools|special equipment|you will need|substitutions?|make ahead|reviews?)$/i.test(
      bare,
    )
  ) {
    return { opens: 'notes' };
  }
  if (/\d/.test(bare) && !/^day \d$/i.test(bare)) return undefined;
  const soaker = bare
    .replace(
      /\b(?:for|the|a|hot|cold|cooked|overnight|seeded|seeds?|oats?|oatmeal|rye|wheat|flour|grains?|multigrain|water|milk|bread|and|build|old)\b/gi,
      '',
    )
    .trim();
  if (/^(?:soaker|scald|tangzhong|yudane|roux|mash|porridge)$/i.test(soaker)) {
    return { opens: 'stage', kind: 'soaker', name };
  }
  if (
    /^(?:for (?:the )?|the )?(?:(?:final|main|bread|pizza|next|bun|roll|second) )?(?:dough|mix)(?: ingredients)?$|^(?:the )?(?:main |dry |wet |dough )?ingredients$|^(?:the )?bread$|^day (?:2|two|3)$|^(?:the )?next (?:day|morning)$|^(?:in )?the morning$|^autolyse$|^(?:for )?the (?:loaf|rolls|buns|bread)$|^bake day$|^(?:the )?rest$|^day of.*$|^wet$|^dry$/i.test(
      bare,
    )
  ) {
    return {
      opens: 'stage',
      kind: 'dough',
      name: /dough|autolyse/i.test(name) && !/ingredient/i.test(name) ? name : 'Dough',
    };
  }
  const use = outside.find(([pattern]) => pattern.test(bare))?.[1];
  if (use && words.length < 5 && !/dough|,/i.test(bare) && onlyHeading(bare)) {
    return { opens: 'outside', use };
  }
  const kind = starterKind(bare);
  if (kind) {
    const rest = bare
      .replace(kind.pattern, ' ')
      .replace(
        /\b(?:for|the|a|my|build|feed|feeding|refresh|refreshment|overnight|night|before|day|one|ingredients|stage|first|young|ripe|stiff|liquid|rye|whole|wheat|white|stage|mix|elaboration|preparation|to|make|and|in|morning|evening)\b/gi,
        ' ',
      )
      .trim();
    return rest === '' ? { opens: 'stage', kind: kind.kind, name } : undefined;
  }
  if (
    /^(?:the )?(?:night|evening|day) before$|^day (?:1|one)$|^overnight$|^(?:first|1st) (?:mix|stage)$/i.test(
      bare,
    )
  ) {
    return { opens: 'stage', kind: 'preferment', name };
  }
  if (/^(?:feed|levain build|build|refreshment|feeding)$/i.test(bare)) {
    return { opens: 'stage', kind: 'starter', name };
  }
  return undefined;
}
