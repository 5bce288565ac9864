import { expect } from 'chai';
import fc from 'fast-check';
import {
  applyChange,
  changeOf,
  followedBy,
  insisting,
  saysTheSame,
  type Change,
  type Path,
} from '../src/lib/wire/merge.ts';

describe('what two hands made of one thing', () => {
  const bag = { name: 'Sack', ingredient: 'bread-flour', protein: 12 };

  it('one says the protein, one the price: both stand', () => {
    const first = applyChange(bag, changeOf(bag, { ...bag, protein: 13 })!);
    const then = applyChange(
      first.value,
      changeOf(bag, { ...bag, price: { paid: 2, kilograms: 1 } })!,
    );
    expect(then).to.deep.equal({
      value: { ...bag, protein: 13, price: { paid: 2, kilograms: 1 } },
      clashes: [],
    });
  });

  it('both say the protein, not alike: what stood first stands, and both are told', () => {
    const first = applyChange(bag, changeOf(bag, { ...bag, protein: 13 })!).value;
    expect(applyChange(first, changeOf(bag, { ...bag, protein: 11, name: 'Blue' })!)).to.deep.equal(
      {
        value: { ...bag, protein: 13, name: 'Blue' },
        clashes: [{ path: ['protein'], was: 12, mine: 11, theirs: 13 }],
      },
    );
    expect(applyChange(first, changeOf(bag, { ...bag, protein: 11 })!, 'mine').value).to.deep.equal(
      {
        ...bag,
        protein: 11,
      },
    );
  });

  it('two add a tin each: three tins; one takes a tin away that another makes larger: a clash', () => {
    const tins = { tins: [{ id: 'loaf', litres: 1.8 }] };
    const add = (id: string) => changeOf(tins, { tins: [...tins.tins, { id, litres: 1 }] })!;
    const first = applyChange(tins, add('a')).value;
    expect(applyChange(first, add('b')).value.tins.map((t) => t.id)).to.deep.equal([
      'loaf',
      'a',
      'b',
    ]);
    const larger = applyChange(tins, changeOf(tins, { tins: [{ id: 'loaf', litres: 2 }] })!).value;
    expect(applyChange(larger, changeOf(tins, { tins: [] })!)).to.deep.equal({
      value: larger,
      clashes: [
        {
          path: ['tins', { row: 'loaf' }],
          was: tins.tins[0],
          mine: undefined,
          theirs: larger.tins[0],
        },
      ],
    });
  });

  it('a field is taken away, a field that both made alike is one', () => {
    expect(
      applyChange(bag, changeOf(bag, { name: 'Sack', ingredient: 'bread-flour' })!).value,
    ).to.deep.equal({
      name: 'Sack',
      ingredient: 'bread-flour',
    });
    const same = changeOf(bag, { ...bag, moisture: 13 })!;
    expect(applyChange(applyChange(bag, same).value, same)).to.deep.equal({
      value: { ...bag, moisture: 13 },
      clashes: [],
    });
    expect(changeOf(bag, { ...bag })).to.equal(undefined);
  });

  it('what is meant all the same is said again of what stands there by now', () => {
    const was = {
      protein: 12,
      tins: [
        { id: 'loaf', litres: 1.8 },
        { id: 'roll', litres: 1 },
      ],
    };
    const theirs = {
      protein: 13,
      tins: [
        { id: 'loaf', litres: 2 },
        { id: 'roll', litres: 1 },
      ],
    };
    const mine = { protein: 11, tins: [{ id: 'roll', litres: 1 }] };
    const { value, clashes } = applyChange(theirs, changeOf(was, mine)!);
    expect(value).to.deep.equal(theirs);
    expect(applyChange(theirs, insisting(clashes))).to.deep.equal({ value: mine, clashes: [] });
  });

  it('words are told apart by themselves', () => {
    const was = { words: ['rye', 'tin'] };
    const first = applyChange(was, changeOf(was, { words: ['rye', 'tin', 'dark'] })!).value;
    expect(
      applyChange(first, changeOf(was, { words: ['tin', 'seeded'] })!).value.words,
    ).to.have.members(['tin', 'dark', 'seeded']);
  });

  const leaf = fc.oneof(fc.integer({ min: 0, max: 3 }), fc.constantFrom('a', 'b'), fc.boolean());
  const row = fc.record({ id: fc.constantFrom('r', 's', 't', 'u'), n: leaf });
  const thing = fc.dictionary(
    fc.constantFrom('name', 'protein', 'price', 'tins', 'words'),
    fc.oneof(
      leaf,
      fc.dictionary(fc.constantFrom('paid', 'kilograms'), leaf),
      fc.uniqueArray(row, { selector: (r) => r.id, maxLength: 4 }),
    ),
  );

  const textOf = (path: Path): string =>
    path.map((at) => (typeof at === 'string' ? at : at.row)).join('/');

  /** What a hand made new or otherwise, leaf by leaf, with what stands there at the end. */
  const said = (value: unknown, path: readonly string[] = []): Array<[string, unknown]> =>
    Array.isArray(value) && value.every((r: unknown) => typeof r === 'object')
      ? (value as Array<{ id: string }>).flatMap((r) => said(r, [...path, r.id]))
      : typeof value === 'object' && value !== null
        ? Object.entries(value).flatMap(([k, v]) => said(v, [...path, k]))
        : [[path.join('/'), value]];

  it('any changes by two hands: each word stands or is shown, in whatever order they come', () => {
    fc.assert(
      fc.property(thing, thing, thing, (was, a, b) => {
        const [mine, theirs] = [changeOf(was, a), changeOf(was, b)];
        for (const [first, then, hand] of [
          [theirs, mine, a],
          [mine, theirs, b],
        ] as const) {
          const there = first ? applyChange(was, first).value : was;
          const { value, clashes } = then
            ? applyChange(there, then)
            : { value: there, clashes: [] };
          const before = new Map(said(was));
          const stands = new Map(said(value));
          for (const [path, word] of said(hand)) {
            if (before.get(path) === word) continue;
            const shown = clashes.some((c) => path.startsWith(textOf(c.path)));
            if (!shown && stands.get(path) !== word) return false;
          }
        }
        return true;
      }),
      { numRuns: 2000, seed: 23 },
    );
  });

  it('without clashes the order does not matter; twice is once', () => {
    fc.assert(
      fc.property(thing, thing, thing, (was, a, b) => {
        const made = (...changes: Array<Change | undefined>) =>
          changes.reduce(
            ({ value, clashes }, change) => {
              if (!change) return { value, clashes };
              const next = applyChange(value, change);
              return { value: next.value, clashes: clashes + next.clashes.length };
            },
            { value: was as object, clashes: 0 },
          );
        const [x, y] = [changeOf(was, a), changeOf(was, b)];
        const [one, other] = [made(x, y), made(y, x)];
        if ((one.clashes === 0) !== (other.clashes === 0)) return false;
        if (!saysTheSame(made(x, x).value, a)) return false;
        return one.clashes > 0 || sameIn(one.value, other.value);
      }),
      { numRuns: 2000, seed: 24 },
    );
  });

  it('one hand’s changes one after the other are as one', () => {
    fc.assert(
      fc.property(thing, thing, thing, (was, a, b) => {
        const [first, then] = [changeOf(was, a), changeOf(a, b)];
        if (!first || !then) return true;
        return saysTheSame(applyChange(was, followedBy(first, then)).value, b);
      }),
      { numRuns: 2000, seed: 25 },
    );
  });
});

/** The same but for the order of rows: who came first stands first. */
function sameIn(a: unknown, b: unknown): boolean {
  const ordered = (v: unknown): unknown =>
    Array.isArray(v)
      ? v.map(ordered).sort((x, y) => (JSON.stringify(x) < JSON.stringify(y) ? -1 : 1))
      : typeof v === 'object' && v !== null
        ? Object.fromEntries(Object.entries(v).map(([k, w]) => [k, ordered(w)]))
        : v;
  return saysTheSame(ordered(a), ordered(b));
}
