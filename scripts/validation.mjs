/** `npm run validation`: writes docs/validation.md from the tables of the core's own checks. */
import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { format, resolveConfig } from 'prettier';
import { install, must } from './prepare.mjs';
import { root } from './root.mjs';

install();
const folder = mkdtempSync(join(tmpdir(), 'tender-crumb-checks-'));
try {
  // A walk through that only looks whether it still runs writes no report.
  const short = process.env.TENDER_CRUMB_SHORT === '1';
  const checks = ['', ...(short ? [] : ['.long'])].flatMap((tier) => {
    const file = join(folder, `checks${tier}.json`);
    must(
      process.execPath,
      [
        'scripts/mocha.mjs',
        'core',
        ...(tier ? ['long'] : []),
        '--reporter',
        'dot',
        ...(short ? ['--grep', 'published'] : []),
      ],
      {
        env: { ...process.env, TENDER_CRUMB_CHECKS: file },
      },
    );
    return JSON.parse(readFileSync(file, 'utf8'));
  });
  const breads = execFileSync(
    process.execPath,
    ['--import=tsx', join(root, 'scripts/fit/breads.ts'), '--markdown'],
    { cwd: root, encoding: 'utf8' },
  );
  const groups = [...new Set(checks.map((c) => c.group))].sort();
  const cell = (text) => text.replaceAll('|', '\\|');
  const table = (group) =>
    [
      `## ${group}`,
      '',
      '| check | source | expected | got | tolerance |',
      '| --- | --- | ---: | ---: | ---: |',
      ...checks
        .filter((c) => c.group === group)
        .map(
          (c) => `| ${[c.what, c.source, c.expected, c.got, c.tolerance].map(cell).join(' | ')} |`,
        ),
    ].join('\n');
  const text = [
    '# Validation',
    '',
    `Written by \`npm run validation\` from the tables of the checks themselves (\`packages/core/test\`): ${checks.length} figures held against something outside the program. “From memory” is a published value that was not looked up again; “common practice” has no source. A check that fails stops the tests, and then there is no report.`,
    '',
    'Besides these, whole methods are held against independent ones: the Bayesian update and Pearson’s square against a linear-algebra package (ml-matrix), the linear programme against a second solver (HiGHS), the linear interval against eight thousand draws of each of 200 formulas, composition against the Indian Food Composition Tables 2017, the water temperature against its closed form.',
    '',
    ...groups.map((g) => `${table(g)}\n`),
    '## Each customary bread',
    '',
    'Level in points by the tables alone, with the figures fitted on all of them, and with the figures fitted on all but this one. The last column is how far it then stands outside its window.',
    '',
    breads,
    '',
  ].join('\n');
  const path = join(root, 'docs/validation.md');
  const written = short ? join(folder, 'validation.md') : path;
  writeFileSync(
    written,
    await format(text, { ...(await resolveConfig(path)), parser: 'markdown' }),
  );
  console.log(`${checks.length} checks written to ${written}`);
} finally {
  rmSync(folder, { recursive: true, force: true });
}
