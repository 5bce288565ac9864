import { counted } from '../quantity/counted.ts';
import { minutesIn } from '../quantity/duration.ts';

const units = counted;
const tens: Readonly<Record<string, number>> = {
  twenty: 20,
  thirty: 30,
  forty: 40,
  fifty: 50,
  sixty: 60,
  ninety: 90,
};
const unit = Object.keys(units).join('|');
const ten = Object.keys(tens).join('|');
const inWords = new RegExp(
  String.raw`\b(?:(${ten})(?:[- ](${unit}))?|(${unit}))(?=\s+(?:more\s+)?(?:min|hour|hrs?\b|days?\b))`,
  'gi',
);

/** Numbers and parts of an hour in words, as figures. */
const figured = (text: string): string =>
  text
    .replace(/\bthree[- ]quarters of an hour\b/gi, '45 minutes')
    .replace(/\b(?:a )?quarter of an hour\b/gi, '15 minutes')
    .replace(/\bhalf an hour\b/gi, '30 minutes')
    .replace(/\b(?:an|one) hour and a half\b/gi, '90 minutes')
    .replace(
      /\b(\d+|two|three|four) hours and a half\b/gi,
      (_, n: string) => `${((units[n.toLowerCase()] ?? Number(n)) + 0.5) * 60} minutes`,
    )
    .replace(inWords, (_, t?: string, u?: string, alone?: string) =>
      String(
        (t ? tens[t.toLowerCase()]! : 0) +
          (u ? units[u.toLowerCase()]! : 0) +
          (alone ? units[alone.toLowerCase()]! : 0),
      ),
    )
    .replace(
      /(\d+)?\s*([¼½¾])\s*(?=h(?:ours?|rs?)?\b)/g,
      (_, whole: string | undefined, part: string) =>
        `${Number(whole ?? 0) + { '¼': 0.25, '½': 0.5, '¾': 0.75 }[part]!} `,
    );

/** How long something takes, minutes. */
export interface Said {
  readonly least: number;
  readonly most?: number;
}

/** "another 10", "10 more", "for 20": of minutes, where it is plain that time is meant. */
const bare =
  /\b(?:another|for(?: another)?|and)\s+(\d{1,3})(?:\s*(?:-|–|to)\s*(\d{1,3}))?(?!\s*(?:°|[CF]\b|g\b|%|pieces|times|cm|x|slices|rolls|balls))|\b(\d{1,3})(?:\s*(?:-|–|to)\s*(\d{1,3}))?\s+more\b|^(\d{1,3})\s+(?:without|uncovered|covered|on (?:low|medium|high|speed))\b/i;

/**
 * How long a clause says that something takes.
 *
 * @param alone a figure without a unit is minutes: of a bake, or a rise, that is spoken of
 * @example minutesSaid('for an hour and a half') // {least: 90}
 * @example minutesSaid('and bake another 10', true) // {least: 10}
 */
export function minutesSaid(text: string, alone = false): Said | undefined {
  if (/\bminus\b|(?:^|\s)[-−]\s?\d+\s*min/i.test(text)) return undefined;
  const found = minutesIn(figured(text));
  if (found)
    return { least: found.least, ...(found.most === undefined ? {} : { most: found.most }) };
  const said = alone ? bare.exec(figured(text)) : null;
  if (!said) return undefined;
  const [least, most] = [said[1] ?? said[3] ?? said[5], said[2] ?? said[4]];
  return { least: Number(least), ...(most ? { most: Number(most) } : {}) };
}
