/** What the voice (docs/voice.md) does not say: each a sign by which a doubtful text is found, none of them proof. */
import { wordsOf } from './seen.ts';

interface Doubt {
  readonly name: string;
  readonly is: (text: string) => boolean;
}

const negations =
  /\b(?:no|not|never|none|nothing|nobody|neither|nor|cannot|without|\w+n[’']t)\b/giu;
const irregular =
  'kept|known|seen|taken|given|said|told|made|done|found|held|read|written|put|begun|left|lost|meant|thought|sent|brought|drawn|worn';

export const doubts: readonly Doubt[] = [
  { name: 'over 20 words', is: (t) => wordsOf(t).length > 20 },
  { name: 'two negations', is: (t) => (t.match(negations) ?? []).length > 1 },
  { name: '“of it”', is: (t) => /\bof (?:it|them|that)\b|\bthere(?:of|in|by|with)\b/iu.test(t) },
  { name: '“somebody”', is: (t) => /\b(?:somebody|nobody|whoever|whatever|wherever)\b/iu.test(t) },
  {
    name: '“there”',
    is: (t) =>
      /\bthere (?:it|they|stands?|goes|lies|nothing)\b|^there\b(?! (?:is|are)\b)/iu.test(t),
  },
  {
    name: 'passive',
    is: (t) =>
      new RegExp(`\\b(?:is|are|was|were|be|been|being) (?:\\w+ed|${irregular})\\b`, 'iu').test(t),
  },
  {
    name: '“it” begins',
    is: (t) =>
      /^(?:It|That|This)\b(?! (?:is|was) (?:not )?(?:safe|too))/u.test(t) && wordsOf(t).length > 6,
  },
  {
    name: 'turned round',
    is: (t) =>
      /^(?:Over|Only|Nor|So|Thus|Of) (?:\w+ ){0,3}(?:is|are|was|does|do|stands|goes|comes)\b/u.test(
        t,
      ),
  },
];

export const doubtsOf = (text: string): string[] =>
  doubts.filter((d) => d.is(text)).map((d) => d.name);
