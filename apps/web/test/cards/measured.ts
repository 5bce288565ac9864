import { expect } from 'chai';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { readPage } from '../../src/lib/server/pages/read-page.ts';
import { cardsOf } from './cards.ts';
import { firstScore } from './first-score.ts';
import { scoreCard } from './score-card.ts';

interface Sum {
  things: number;
  right: number;
  asked: number;
  wrong: number;
  gone: number;
}

const inWords = ({ things, right, asked, wrong, gone }: Readonly<Sum>): string =>
  `${things} things: ${right} right, ${asked} asked, ${wrong} wrong, ${gone} gone`;

/**
 * Photographs cards, reads them as the program does, and holds what came of them to what is to be reached.
 *
 * @param least of a hundred things so many are right or asked about
 * @param wrong and so many at most are wrong
 */
export async function measureCards(
  count: number,
  seed: number,
  { least, wrong }: { readonly least: number; readonly wrong: number },
): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'tender-crumb-cards-'));
  const sum: Sum = { things: 0, right: 0, asked: 0, wrong: 0, gone: 0 };
  const told: string[] = [];
  try {
    for (const card of cardsOf(count, seed)) {
      const file = join(folder, 'card.jpg');
      writeFileSync(file, await card.photo());
      const { rows } = await readPage(file, async () => {});
      const score = scoreCard(card.written, rows);
      for (const key of ['things', 'right', 'asked', 'wrong', 'gone'] as const)
        sum[key] += score[key];
      if (score.wrong + score.gone > 0)
        told.push(`${card.kind}, ${JSON.stringify(card.look)}: ${score.told.join('; ')}`);
    }
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
  const says = `${inWords(sum)}; first ${inWords(firstScore)}\n${told.join('\n')}`;
  console.log(`      ${says}`);
  expect((100 * (sum.right + sum.asked)) / sum.things, says).to.be.at.least(least);
  expect((100 * sum.wrong) / sum.things, says).to.be.at.most(wrong);
  // What is asked of everything is no reading.
  expect((100 * sum.right) / sum.things, says).to.be.at.least(60);
}
