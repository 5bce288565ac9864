import { expect } from 'chai';
import { nothingLearned } from '@tender-crumb/core/belief';
import { defaultHousehold } from '@tender-crumb/core/household';
import { methodView } from '@tender-crumb/core/view';
import { followedIn, runOf } from '@tender-crumb/core/lead';
import { foldsAt, methodOf, partsAt, usualShaping } from '@tender-crumb/core/process';
import { inRows } from '../../src/reader/in-rows.ts';
import { read } from '../build.ts';
import { changesOf } from '@tender-crumb/core/schedule';

const loaf = (...method: string[]) =>
  read(
    `Weir loaf\n\n500 g bread flour\n340 g water\n10 g salt\n5 g instant yeast\n\nMethod\n${method.join('\n')}`,
  ).formula;
const viewOf = (...method: string[]) =>
  methodView({ formula: loaf(...method), device: 'hand', household: defaultHousehold });
const led = (...method: string[]) =>
  viewOf(...method).rows.flatMap((r) => r.sentences.map((s) => s.led));

describe('a recipe’s method beside the bake that is led', () => {
  it('each sentence is followed, changed or not used, with why; none is gone', () => {
    const view = viewOf(
      'Knead for 10 minutes.',
      'Let it rise for 20 minutes.',
      'Shape it.',
      'Bake at 220 °C for 35 minutes.',
      'My gran did it so.',
    );
    const sentences = view.rows.flatMap((r) => r.sentences);
    expect(sentences.map((s) => s.led)).to.deep.equal([
      'followed',
      'changed',
      'followed',
      'followed',
      'not-used',
    ]);
    // 1 % instant yeast needs over an hour in a usual kitchen: handbook, customary rises.
    expect(sentences[1]!.why).to.match(/(?:min|h) more, for this dough/);
    expect(sentences[4]!.why).to.match(/Nothing here for a step/);
  });

  it('a sentence stands with the row that it is in, though another row holds the same words', () => {
    const { rows } = viewOf('Shape it. Bake it for 35 minutes at 220 °C.', 'Shape it.');
    expect(rows.map((r) => r.sentences.length)).to.deep.equal([2, 1]);
  });

  it('within five minutes, or a tenth, a time is followed', () => {
    const method = methodOf(loaf('Bake at 220 °C for 35 minutes.'));
    const of = (usual: number) =>
      followedIn(method, [{ kind: 'bake', usual, uses: [] }]).map((s) => s.led)[0];
    expect([30, 29, 40, 41].map(of)).to.deep.equal(['followed', 'changed', 'followed', 'changed']);
    const long = methodOf(loaf('Bake at 150 °C for 100 minutes.'));
    const ofLong = (usual: number) =>
      followedIn(long, [{ kind: 'bake', usual, uses: [] }]).map((s) => s.led)[0];
    expect([110, 111].map(ofLong)).to.deep.equal(['followed', 'changed']);
  });

  it('what is said twice counts once', () => {
    expect(led('Bake for 35 minutes at 220 °C.', 'Bake for 50 minutes.')).to.deep.equal([
      'followed',
      'not-used',
    ]);
  });

  it('lid on and lid off are two parts of one bake, and its minutes are theirs together', () => {
    const formula = loaf(
      'Bake covered for 20 minutes at 230 °C, then 25 minutes uncovered at 210 °C.',
    );
    const run = runOf({
      id: 'b',
      formula,
      device: 'hand',
      events: [],
      household: defaultHousehold,
      belief: nothingLearned,
    });
    const bake = run.steps.find((s) => s.kind === 'bake')!;
    expect(bake.parts?.map((p) => [p.minutes, p.celsius, p.lid])).to.deep.equal([
      [20, 230, true],
      [25, 210, false],
    ]);
    expect(bake.celsius).to.equal(230);
    expect(run.tasks.find((t) => t.kind === 'bake')!.usual).to.equal(45);
    expect(
      viewOf('Bake covered for 20 minutes, then 25 uncovered.').steps.find(
        (s) => s.kind === 'bake',
      )!.parts,
    ).to.deep.equal(['20 min, lid on', '25 min, lid off']);
  });

  it('the parts go by the clock, at the pace of the oven', () => {
    const parts = [
      { minutes: 20, lid: true, says: '' },
      { minutes: 25, lid: false, says: '' },
    ];
    const at = (minute: number) => new Date(Date.UTC(2026, 10, 30, 10, minute)).toISOString();
    const standing = (now: string, pace = 1) =>
      partsAt(parts, at(0), now, pace).map((p) => p.standing);
    expect(partsAt(parts, undefined, at(0)).map((p) => p.standing)).to.deep.equal([
      'ahead',
      'ahead',
    ]);
    expect(standing(at(19))).to.deep.equal(['now', 'ahead']);
    expect(standing(at(20))).to.deep.equal(['over', 'now']);
    expect(standing(at(20), 1.1)).to.deep.equal(['now', 'ahead']);
    expect(standing(at(45))).to.deep.equal(['over', 'over']);
    expect(partsAt(parts, at(0), at(0), 1.1)[0]!.until).to.equal(at(22));
  });

  it('folds have their times in the rise', () => {
    const formula = loaf('Let it rise for 3 hours. Fold it three times, every 30 minutes.');
    const run = runOf({
      id: 'b',
      formula,
      device: 'hand',
      events: [],
      household: defaultHousehold,
      belief: nothingLearned,
    });
    const { folds } = run.steps.find((s) => s.kind === 'first-rise')!;
    expect(folds).to.include({ times: 3, every: 30 });
    const begun = '2026-11-30T10:00:00.000Z';
    expect(foldsAt(folds!, begun, '2026-11-30T10:59:00.000Z').map((f) => f.due)).to.deep.equal([
      true,
      false,
      false,
    ]);
    expect(foldsAt(folds!, begun, '2026-11-30T11:00:00.000Z').map((f) => f.due)).to.deep.equal([
      true,
      true,
      false,
    ]);
  });
});

describe('pieces that a method names', () => {
  const shaping = (...method: string[]) => usualShaping(loaf(...method));
  it('are what it is divided into', () => {
    expect(shaping('Divide into 8 pieces and shape them.')).to.deep.equal({
      form: 'rolls',
      pieces: 8,
    });
    expect(shaping('Cut in two and shape two loaves.')).to.deep.equal({ form: 'loaf', pieces: 2 });
    expect(shaping('Divide the dough into 2 pieces, and put them into tins.')).to.deep.equal({
      form: 'loaf',
      pieces: 2,
    });
    expect(shaping('Divide into three strands and plait.')).to.deep.equal({
      form: 'plait',
      pieces: 3,
    });
    expect(shaping('Shape it to a ball.')).to.deep.equal({ form: 'loaf', pieces: 1 });
    expect(shaping('Shape it.')).to.deep.equal({ form: 'loaf', pieces: 1 });
  });
  it('what the formula says goes before them', () => {
    expect(usualShaping({ ...loaf('Divide into 8 pieces.'), pieces: 6 }).pieces).to.equal(6);
  });
});

describe('what is to be done in the middle of a step', () => {
  const start = '2026-11-30T10:00:00.000Z';
  const at = (minute: number) => new Date(Date.parse(start) + minute * 60_000).toISOString();
  it('is the lid, the heat, the place, or a fold, each at its time', () => {
    const parts = [
      { minutes: 20, celsius: 240, lid: true, says: '' },
      { minutes: 20, celsius: 210, lid: false, says: '' },
    ];
    expect(changesOf({ start, minutes: 40, parts })).to.deep.equal([
      { at: at(20), says: 'Lid off, oven to 210 °C' },
    ]);
    // An oven that takes a tenth longer has each part as much longer.
    expect(changesOf({ start, minutes: 44, parts })[0]!.at).to.equal(at(22));
    const rise = [
      { minutes: 60, place: 'room', says: '' },
      { minutes: 720, place: 'fridge', says: '' },
    ] as const;
    expect(changesOf({ start, minutes: 780, parts: rise })).to.deep.equal([
      { at: at(60), says: 'Into the fridge' },
    ]);
    expect(
      changesOf({ start, minutes: 120, folds: { times: 2, every: 30, says: '' } }).map(
        (c) => c.says,
      ),
    ).to.deep.equal(['Fold 1 of 2', 'Fold 2 of 2']);
    expect(changesOf({ start, minutes: 30 })).to.deep.equal([]);
  });
});

describe('half-way in the oven', () => {
  it('a loaf is turned round; under a lid, or in a machine, nobody turns it', () => {
    const bake = (...method: string[]) =>
      runOf({
        id: 'b',
        formula: loaf(...method),
        device: 'hand',
        events: [],
        household: defaultHousehold,
        belief: nothingLearned,
      }).tasks.find((t) => t.kind === 'bake')!;
    expect(bake('Bake at 220 °C for 36 minutes.').turns).to.equal(true);
    expect(bake('Bake covered for 20 minutes, then 25 uncovered.').turns).to.equal(undefined);
    const start = '2026-12-01T09:00:00.000Z';
    expect(changesOf({ start, minutes: 36, turns: true })).to.deep.equal([
      { at: '2026-12-01T09:18:00.000Z', says: 'Turn it round' },
    ]);
    expect(changesOf({ start, minutes: 36 })).to.deep.equal([]);
  });
});

describe('a method as nobody should write it', () => {
  const led = (...method: string[]) => viewOf(...method).rows.flatMap((r) => r.sentences);

  it('two hundred sentences: each is placed, none is gone', () => {
    const many = Array.from({ length: 200 }, (_, i) =>
      i % 3 === 0
        ? `Fold it once, ${i} of them.`
        : i % 3 === 1
          ? `Rest it for ${i} minutes.`
          : `Sing to it ${i} times.`,
    );
    const sentences = led(...many);
    expect(sentences).to.have.length(200);
    for (const { led: how, why, says } of sentences)
      expect(how === 'followed' || (why ?? '') !== '', says).to.equal(true);
  });
  it('a hundred rows stay a hundred; of a hundred and one neighbours share some, and no letter is gone', () => {
    const rows = (count: number) =>
      inRows(Array.from({ length: count }, (_, i) => ({ says: `Sing to it ${i} times.` })));
    expect(rows(100)).to.have.length(100);
    const joined = rows(101);
    expect(joined.length).to.be.at.most(100);
    expect(
      joined
        .map((r) => r.says)
        .join(' ')
        .match(/Sing/g),
    ).to.have.length(101);
    // Rows that are long already share none.
    const long = inRows(
      Array.from({ length: 120 }, (_, i) => ({ says: `${i} ${'la '.repeat(500)}` })),
    );
    expect(long.map((r) => r.says.length).every((n) => n <= 2000)).to.equal(true);
  });
  it('times that contradict each other: the first counts, and the other says so', () => {
    const [first, second] = led('Bake for 30 minutes at 220 °C.', 'Bake for 50 minutes at 200 °C.');
    expect(first!.led).to.equal('followed');
    expect([second!.led, second!.why]).to.deep.equal([
      'not-used',
      '“Bake for 30 minutes at 220 °C.” says it already.',
    ]);
  });
  it('“until done” has no figure: it is baked as its kind is', () => {
    const view = viewOf('Bake until done.');
    const bake = view.steps.find((s) => s.kind === 'bake')!;
    expect(bake.written).to.equal(true);
    expect(bake.minutes.written).to.equal(false);
    expect(bake.minutes.value).to.be.within(20, 60);
    expect(view.rows[0]!.sentences[0]!.led).to.equal('followed');
  });
  it('900 °F and minus 10 minutes are no figures of an oven', () => {
    const bake = viewOf('Bake at 900 °F for minus 10 minutes.').steps.find(
      (s) => s.kind === 'bake',
    )!;
    expect([bake.celsius!.written, bake.minutes.written]).to.deep.equal([false, false]);
    expect(bake.celsius!.value).to.be.within(150, 260);
  });
  it('a step that was moved before what it needs is led where the work needs it, and says so', () => {
    const view = viewOf(
      'Bake at 220 °C for 35 minutes.',
      'Knead for 10 minutes.',
      'Let it rise until doubled.',
    );
    expect(view.steps.findIndex((s) => s.kind === 'mix')).to.be.below(
      view.steps.findIndex((s) => s.kind === 'bake'),
    );
    const kneads = view.rows[1]!.sentences[0]!;
    expect([kneads.led, kneads.why]).to.deep.equal([
      'changed',
      'It is done before “Bake”: that needs it.',
    ]);
    for (const { led: how } of led(
      'Knead for 10 minutes.',
      'Let it rise until doubled.',
      'Bake for 35 minutes.',
    ))
      expect(how).to.equal('followed');
  });
});
