/**
 * `npm run fit`: fits the tables' absorptions on customary breads, and writes
 * packages/core/src/ingredient/fitted.ts. A Bayesian regression: the tables with their spreads are the
 * prior; each bread, made as written by people who bake it, says that its level is in the middle of its
 * style's window, give or take half the window's width, the doubt of its ends and a bread's departure from
 * the model. No figure is moved by hand. With `--print` nothing is written, with `--markdown` the table of
 * breads alone is printed for the validation report.
 *
 * Source of the method: the linear Gaussian model, e.g. Gelman et al., Bayesian Data Analysis, chapter 14,
 * from memory.
 */
import { readFileSync, writeFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import { levelWith, looksOf, outsideOf, posterior, type Bread } from './regression.ts';

const off = { type: 'boolean', default: false } as const;
const { values } = parseArgs({ options: { print: off, markdown: off } });
const at = (path: string) => new URL(path, import.meta.url);
const read = (path: string) =>
  looksOf((JSON.parse(readFileSync(at(path), 'utf8')) as { breads: Bread[] }).breads);
const [looks, checks] = [read('breads.json'), read('handbook.json')];
const all = posterior([...looks, ...checks]);

if (!values.print && !values.markdown) {
  const file = at('../../packages/core/src/ingredient/fitted.ts');
  const digits = (x: number) => Number(x.toPrecision(6));
  const [head] = readFileSync(file, 'utf8').split('} = ');
  const data = {
    keys: all.keys,
    shift: all.shift.map(digits),
    covariance: all.covariance.to2DArray().map((row, i) => row.slice(0, i + 1).map(digits)),
  };
  writeFileSync(file, `${head}} = ${JSON.stringify(data)};\n`);
}

/** A bread by the tables, fitted, fitted without it, and fitted without all of its style. */
const rows = looks.map((look) => {
  const without = posterior([...looks.filter((l) => l !== look), ...checks]);
  const kind = posterior([...looks.filter((l) => l.bread.style !== look.bread.style), ...checks]);
  const [fit, out, far] = [all, without, kind].map((by) => levelWith(look, by)) as [
    number,
    number,
    number,
  ];
  return {
    ...{ look, fit, out, far },
    fitOff: outsideOf(look, fit),
    outOff: outsideOf(look, out),
    farOff: outsideOf(look, far),
  };
});
const near = (off: number): boolean => Math.abs(off) <= 1.5;
const fixed = (x: number): string => (Math.abs(x) < 0.05 ? '0' : x.toFixed(1));

function printTable(): void {
  console.log(
    '| bread | style | window | by the tables | fitted | left out | outside, left out | its style left out | outside, its style left out |',
  );
  console.log('| --- | --- | ---: | ---: | ---: | ---: | ---: | ---: | ---: |');
  for (const { look, fit, out, outOff, far, farOff } of rows) {
    const { name, style } = look.bread;
    const cells = [
      name,
      style,
      look.window.map(fixed).join(' to '),
      ...[look.tables, fit, out, outOff, far, farOff].map(fixed),
    ];
    console.log(`| ${cells.join(' | ')} |`);
  }
}

function printFit(): void {
  console.log(
    `${looks.length} breads, ${all.keys.length} figures; moved most, beside their spread:`,
  );
  all.keys
    .map((key, i) => ({
      key,
      from: all.prior[i]!,
      shift: all.shift[i]!,
      sd: Math.sqrt(all.covariance.get(i, i)),
    }))
    .sort((a, b) => Math.abs(b.shift / b.from) - Math.abs(a.shift / a.from))
    .slice(0, 16)
    .forEach(({ key, from, shift, sd }) =>
      console.log(
        `  ${key.padEnd(32)} ${shift.toFixed(3).padStart(7)}  sd ${from.toFixed(3)} → ${sd.toFixed(3)}`,
      ),
    );
  console.log('bread, level by the tables, fitted, fitted without it; points outside its window:');
  for (const { look, fit, out, outOff } of rows) {
    const columns = [look.tables, fit, out].map((x) => x.toFixed(1).padStart(6)).join(' ');
    console.log(`  ${look.bread.name.padEnd(40)} ${columns}  ${outOff.toFixed(1)}`);
  }
  const count = (of: (row: (typeof rows)[number]) => number) =>
    rows.filter((r) => near(of(r))).length;
  console.log(
    `within 1.5 points of the window: ${count((r) => r.fitOff)} fitted, ${count((r) => r.outOff)} left out, ${count((r) => r.farOff)} with all of their style left out, of ${looks.length}`,
  );
}

if (values.markdown) printTable();
else printFit();
