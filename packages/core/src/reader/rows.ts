import { isMethod } from './method.ts';
import { pageRows } from './page.ts';
import { bareAmount, severalOn } from './several-on.ts';
import { sectionOf } from './section.ts';
import { tableRows } from './table.ts';

/** One row of a text, cleaned, with the line that it stood on, counted from 1. */
export interface TextRow {
  readonly at: number;
  /** As it was written. */
  readonly raw: string;
  readonly text: string;
  /** Marked as a heading. */
  readonly heading?: boolean;
  /** It is one of a list or a table: no prose. */
  readonly item?: boolean;
  /** It stands in a numbered list: a step, if it is no ingredient. */
  readonly numbered?: boolean;
  /** A part that was opened on a row of its own text ends here. */
  readonly closes?: boolean;
  /** The baker has said what it reads. */
  readonly confirmed?: true;
  readonly blankBefore?: boolean;
  readonly blankAfter?: boolean;
}

/** Spaces, dashes, quotes and leaders as a keyboard has them. */
const cleaned = (text: string): string =>
  // Most rows are plain, and a page has thousands.
  /^(?:[\x20-_a-~]|\t)*$/.test(text) && !/\.\s?\.|__/.test(text) ? text : cleanedOdd(text);

const cleanedOdd = (text: string): string =>
  text
    .replace(/[\u0000-\u0008\u000b-\u001f\u200b-\u200f\u2028-\u202e\u2060\ufeff\u00ad]/g, '')
    .replace(/[\u00a0\u2000-\u200a\u202f\u205f\u3000]/g, ' ')
    // Digits and letters as wide as a Chinese sign.
    .replace(/[\uff01-\uff5e]/g, (sign) => sign.normalize('NFKC'))
    .replace(/[\u2018\u2019\u201b\u2032`´]/g, '’')
    .replace(/[\u201c\u201d\u201f\u2033]/g, '"')
    .replace(/[‐‑‒﹣－]/g, '-')
    .replace(/[⁄∕]/g, '/')
    .replace(/[│┃┆┊]/g, '|')
    .replace(/[─━═┄┈]{2,}/g, '---')
    .replace(/\s*(?:\.\s?){4,}\s*|\s*…{2,}\s*|\s*_{3,}\s*|\s*(?:·\s?){3,}/g, ': ')
    .replace(/(\d)\s*°/g, '$1 °');

const bullet = /^\s*(?:[•*·▪▫‣◦●○☐☑□■▢❑❏◻⬜✓✔✅➤►»>]+\s*|[-–—+]\s+|\[[ x]?\]\s*|o\s+(?=\d))/i;
const ordinal = /^\s*(?:step\s*)?\d{1,2}\s*[.):]\s+(?=\D|\d)/i;

/** "1 000 g": a space parts the thousands, unless it counts tins of so much. */
const thousands =
  /(?<![\d.,/])(\d{1,3}) (\d{3})(?=\s?(?:g|gr|gm|grams?|grammes?|ml)\b(?!\s*\)?\s*(?:tins?|cans?|jars?|bags?|packets?|packs?|blocks?|tubs?|bottles?|cartons?|loa)))/gi;

/** Bold and italic out; a row that is all bold is a heading. */
function unmarked(text: string): { text: string; bold: boolean } {
  if (!/[*_~<]/.test(text)) return { text, bold: false };
  const whole = /^\s*(\*\*|__)(.+)\1\s*:?\s*$/.exec(text);
  const bold = whole !== null && !/\*\*|__/.test(whole[2]!);
  return {
    text: text.replace(/\*\*|__|(?<!\S)[*_](?=\S)|(?<=\S)[*_](?!\S)|~~|<\/?\w+>/g, ''),
    bold,
  };
}

/** What is said behind the last of several things stands on a row of its own: "30 g oil. Mix and rest." */
function withoutProse(parts: readonly string[]): readonly string[] {
  const [, thing, prose] = /^(\S[^.]*[\p{L})])\.\s+(\p{Lu}.*)$/u.exec(parts.at(-1) ?? '') ?? [];
  return parts.length > 1 && thing && prose && isMethod(prose)
    ? [...parts.slice(0, -1), thing, prose]
    : parts;
}

/** Rows whose amount and name stand on two lines, put together. */
function joinedRows(rows: readonly TextRow[]): TextRow[] {
  const out: TextRow[] = [];
  for (let i = 0; i < rows.length; i += 1) {
    const row = rows[i]!;
    const next = rows[i + 1];
    if (
      bareAmount.test(row.text) &&
      next &&
      !/\d/.test(next.text) &&
      !next.heading &&
      next.text.length < 60
    ) {
      out.push({
        ...next,
        at: row.at,
        raw: `${row.raw} ${next.raw}`,
        text: `${row.text} ${next.text}`,
      });
      i += 1;
    } else if (
      next &&
      bareAmount.test(next.text) &&
      !/\d/.test(row.text) &&
      !row.heading &&
      row.text.length < 60 &&
      !/[.:]$/.test(row.text) &&
      (!rows[i + 2] || !/\d/.test(rows[i + 2]!.text) || bareAmount.test(rows[i + 3]?.text ?? ''))
    ) {
      out.push({ ...row, raw: `${row.raw} ${next.raw}`, text: `${next.text} ${row.text}` });
      i += 1;
    } else out.push(row);
  }
  return out;
}

/**
 * A text as the rows that it means, whatever it is written in: a web page, a recipe's own data, a table,
 * lists of any kind. Nothing of it is judged here.
 *
 * @example rowsOf('**Dough**\n- 500 g flour, 340 g water').map((r) => r.text) // ['Dough', '500 g flour', '340 g water']
 */
export function rowsOf(text: string): TextRow[] {
  const lines = pageRows(text) ?? text.split(/\r\n|\r|\n/).map((raw, i) => ({ at: i + 1, raw }));
  const rows: TextRow[] = [];
  let blank = true;
  for (const line of tableRows(lines)) {
    const clean = cleaned(line.text ?? line.raw).replace(thousands, '$1$2');
    const { text: plain, bold } = unmarked(clean.replace(/^\s*>+\s?/, ''));
    const isBullet = bullet.test(plain);
    const isOrdinal = ordinal.test(plain) && !/^\s*\d+\s*[.)]\d/.test(plain);
    const trimmed = plain
      .replace(bullet, '')
      .replace(isOrdinal ? ordinal : /^$/, '')
      .trim();
    if (!trimmed || /^[-=*_|\s:+]+$/.test(trimmed)) {
      const last = rows.at(-1);
      if (last && !trimmed) rows[rows.length - 1] = { ...last, blankAfter: true };
      blank = blank || !trimmed;
      continue;
    }
    const hash = /^#{1,6}\s/.test(trimmed);
    const body = trimmed.replace(/^#{1,6}\s*/, '').replace(/\s+#+$/, '');
    // "For boiling: 2 l water, 1 tbsp honey": a part and what is in it on one row.
    const inline = /^([^,;:\d]{3,40}):\s*(?=[\d½¼¾⅓⅔]|all\b|the\b)(.+)$/i.exec(body);
    const opens =
      inline &&
      !bareAmount.test(inline[2]!) &&
      (sectionOf(inline[1]!) || severalOn(inline[2]!).length > 1);
    if (opens) {
      rows.push({
        at: line.at,
        raw: inline[1]!.trim(),
        text: `${inline[1]!.trim()}:`,
        heading: true,
      });
    }
    const parts = withoutProse(severalOn(opens ? inline[2]! : body));
    for (const [i, part] of parts.entries()) {
      rows.push({
        at: line.at,
        raw: parts.length > 1 ? part.trim() : line.raw.trim(),
        text: part.trim().replace(/\s+/g, ' ').replace(/,$/, ''),
        ...(hash || bold ? { heading: true } : {}),
        ...(isBullet || line.item || parts.length > 1 ? { item: true } : {}),
        ...(isOrdinal ? { numbered: true } : {}),
        ...(blank && i === 0 ? { blankBefore: true } : {}),
      });
    }
    if (opens) rows.push({ at: line.at, raw: '', text: '', closes: true });
    blank = false;
  }
  return joinedRows(rows);
}
