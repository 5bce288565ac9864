import { expect } from 'chai';
import { csvCell, dayIn, oldBakes, oldTable, type OldColumn } from '@tender-crumb/core/exchange';

const german =
  '\uFEFFDatum;Bread;Rating;Dough;Notes\n3.5.2026;"Rye; dark";4/5;soft;"dense, but ""good"""\n31.2.2026;Rye;5;;\n';

describe('bakes from somebody’s own table', () => {
  it('finds separators, quotes and what the columns are', () => {
    const table = oldTable(german);
    expect(table.heads).to.deep.equal(['Datum', 'Bread', 'Rating', 'Dough', 'Notes']);
    expect(table.guessed).to.deep.equal(['day', 'bread', 'stars', 'felt', 'note']);
    expect(table.rows[0]![1]).to.equal('Rye; dark');
  });

  it('keeps what a row says, makes nothing up, and names what cannot be read', () => {
    const table = oldTable(german);
    const { bakes, faults } = oldBakes(table, table.guessed);
    expect(bakes).to.have.length(1);
    expect(bakes[0]).to.include({ bread: 'Rye; dark', day: '2026-05-03' });
    const [felt, outcome, end] = bakes[0]!.events;
    expect(felt!.data).to.deep.equal({ points: 6 });
    expect(outcome!.data).to.deep.equal({ stars: 4, words: ['dense'], note: 'dense, but "good"' });
    expect(end!.kind).to.equal('finished');
    expect(faults).to.deep.equal([{ row: 3, says: '“31.2.2026” is no day' }]);
    const bare = oldBakes(oldTable('day\n2026-01-01'), ['day']).bakes[0]!;
    expect(bare.events.map((e) => e.kind)).to.deep.equal(['finished']);
  });

  it('the same row is the same bake, another is another', () => {
    const ids = (text: string) => oldBakes(oldTable(text), ['day', 'bread']).bakes.map((b) => b.id);
    expect(ids('d,b\n2026-01-01,Rye\n2026-01-01,Rye')).to.have.length(1);
    expect(ids('d,b\n2026-01-01,Rye')).to.deep.equal(ids('d,b\n2026-01-01,Rye'));
    expect(new Set(ids('d,b\n2026-01-01,Rye\n2026-01-02,Rye\n2026-01-01,Oat')).size).to.equal(3);
  });

  it('days as people write them', () => {
    for (const [text, day] of [
      ['2026-5-3', '2026-05-03'],
      ['3/5/26', '2026-05-03'],
      ['03.05.2026', '2026-05-03'],
      ['3 May 2026', '2026-05-03'],
      ['May 3, 2026', '2026-05-03'],
      ['Sun, 3 May 2026', '2026-05-03'],
      // No month is the thirteenth: then the other order is meant.
      ['5/13/2026', '2026-05-13'],
    ] as const)
      expect(dayIn(text), text).to.equal(day);
    expect(dayIn('5/3/2026', 'month-first')).to.equal('2026-05-03');
    for (const text of ['', 'soon', '30.2.2026', '2026', '32/13/2026'])
      expect(dayIn(text)).to.equal(undefined);
  });

  it('judgements of five, of ten, in marks and in words; nothing where it is none', () => {
    const stars = (text: string) => {
      const outcome = oldBakes({ rows: [['2026-01-01', text, 'x']] }, [
        'day',
        'stars',
        'note',
      ] as OldColumn[]).bakes[0]!.events[0]!.data as { stars?: number };
      return outcome.stars;
    };
    expect(['4', '4/5', '8/10', '7', '★★★', 'good', '0', '2.6'].map(stars)).to.deep.equal([
      4, 4, 4, 4, 3, 4, 1, 3,
    ]);
    expect(['excellent', 'ok', 'Fair', 'as it should be', 'so-so'].map(stars)).to.deep.equal([
      5, 3, 2, 5, 2,
    ]);
    expect(['', 'meh', '-1', '300'].map(stars)).to.deep.equal([
      undefined,
      undefined,
      undefined,
      undefined,
    ]);
  });

  it('a bread that weighs more than its dough is not weighed', () => {
    const weighed = (before: string, after: string) =>
      oldBakes({ rows: [['2026-01-01', before, after]] }, ['day', 'before', 'after']).bakes[0]!
        .events[0]!.data;
    expect(weighed('800', '704')).to.include({ before: 800, after: 704 });
    expect(weighed('700', '704')).to.not.have.property('after');
  });
});

describe('cells of a table', () => {
  it('are quoted where they must be, and no sum for a spreadsheet', () => {
    expect(csvCell('plain')).to.equal('plain');
    expect(csvCell('a,b')).to.equal('"a,b"');
    expect(csvCell('line\nbreak')).to.equal('"line\nbreak"');
    for (const cell of ['=1+1', '+cmd', '@x', '-x']) expect(csvCell(cell)).to.equal(`'${cell}`);
    expect(csvCell('-3.5')).to.equal('-3.5');
  });
});
