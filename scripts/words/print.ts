/**
 * Prints every text that a person can see: `written` those of the sources, `rendered` those of the pages, `doubtful` those in
 * which a sign of what the voice does not say was found, `counts` how many words the counted views show and how hard
 * their sentences are. Without a name: all four. `--of=FOLDER` asks another checkout that is built.
 */
import { resolve } from 'node:path';
import { parseArgs } from 'node:util';
import { doubtsOf } from './doubtful.ts';
import { counted } from './places.ts';
import { rendered, type Said } from './rendered.ts';
import { wordsOf } from './seen.ts';
import { gradeOf, sentencesOf } from './sentences.ts';
import { written, type Written } from './written.ts';

const { values, positionals } = parseArgs({
  allowPositionals: true,
  options: { of: { type: 'string' } },
});
const folder = resolve(values.of ?? '.');
process.chdir(folder);
const wanted = (name: string) => positionals.length === 0 || positionals.includes(name);

const texts: Written[] = wanted('written') || wanted('doubtful') ? written(folder) : [];
const pages: Said[] =
  wanted('rendered') || wanted('doubtful') || wanted('counts') ? await rendered() : [];
const title = (text: string) => console.log(`\n# ${text}\n`);

if (wanted('written')) {
  title('Texts of the sources');
  for (const { text, at } of texts) console.log(`${at}\t${text}`);
}
if (wanted('rendered')) {
  title('What pages show');
  for (const { name, blocks } of pages) console.log(`## ${name}\n${blocks.join('\n')}\n`);
}

/** Each sentence once, with the first place in which it stands. */
const sentences = new Map<string, string>();
for (const { name, blocks } of pages)
  for (const sentence of blocks.flatMap(sentencesOf))
    if (!sentences.has(sentence)) sentences.set(sentence, name);
for (const { text, at } of texts)
  for (const sentence of sentencesOf(text))
    if (!sentences.has(sentence)) sentences.set(sentence, at);

if (wanted('doubtful')) {
  title('Doubtful');
  for (const [sentence, at] of sentences) {
    const found = doubtsOf(sentence);
    if (found.length > 0) console.log(`${at}\t${found.join(', ')}\t${sentence}`);
  }
}
if (wanted('counts')) {
  title('Words that a person sees');
  for (const view of counted) {
    const of = pages.filter((page) => page.view === view);
    const sum = of.reduce((all, { blocks }) => all + wordsOf(blocks.join(' ')).length, 0);
    console.log(`${view.padEnd(20)} ${String(sum).padStart(6)} words on ${of.length} pages`);
  }
  const grades = [...new Set(pages.flatMap((page) => page.blocks.flatMap(sentencesOf)))]
    .filter((sentence) => wordsOf(sentence).length >= 8)
    .map((sentence) => ({ sentence, grade: gradeOf(sentence) }))
    .sort((a, b) => b.grade - a.grade);
  const easy = grades.filter(({ grade }) => grade <= 6).length;
  console.log(
    `\nSentences of eight words and more: ${grades.length}; grade 6 and under: ${((100 * easy) / grades.length).toFixed(1)} % (asked: 90); nine of ten are under ${(grades[Math.floor(grades.length / 10)]?.grade ?? 0).toFixed(1)}.\n`,
  );
  for (const { grade, sentence } of grades.slice(0, 100))
    console.log(`${grade.toFixed(1)}\t${sentence}`);
}
