/**
 * The rooms of the core, bottom first: a room may import from those below it only. The linter holds them
 * to it; `node scripts/rooms.mjs` prints who imports from whom, and fails on an upward edge.
 */
import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join, relative, sep } from 'node:path';
import { pathToFileURL } from 'node:url';
import { root } from './root.mjs';

export const rooms = [
  'figure',
  'quantity',
  'ingredient',
  'style',
  'machine',
  'coefficients',
  'household',
  'belief',
  'formula',
  'process',
  'ferment',
  'starter',
  'dough',
  'correct',
  'caution',
  'evaluate',
  'nutrition',
  'reader',
  'picture',
  'substitute',
  'goal',
  'course',
  'schedule',
  'bake',
  'hands',
  'lead',
  'rescue',
  'learn',
  'book',
  'practice',
  'exchange',
  'view',
];

const source = join(root, 'packages/core/src');

const roomOf = (file) => {
  const [first, ...rest] = relative(source, file).split(sep);
  return rest.length > 0 ? first : 'index';
};

/** Imports between rooms: a row for who imports, a column for from whom. */
export function importMatrix() {
  const files = readdirSync(source, { recursive: true }).filter((f) => f.endsWith('.ts'));
  const edges = files.flatMap((name) => {
    const file = join(source, name);
    return [...readFileSync(file, 'utf8').matchAll(/from '(\.[^']+)'/g)].map(([, to]) => ({
      file: name,
      from: roomOf(file),
      to: roomOf(join(dirname(file), to)),
    }));
  });
  return edges.filter((e) => e.from !== 'index' && e.from !== e.to);
}

if (import.meta.url === pathToFileURL(process.argv[1] ?? '').href) {
  const edges = importMatrix();
  const count = (from, to) => edges.filter((e) => e.from === from && e.to === to).length;
  const width = Math.max(...rooms.map((r) => r.length));
  console.log(' '.repeat(width + 1) + rooms.map((r) => r.slice(0, 4).padStart(5)).join(''));
  for (const from of rooms) {
    const cells = rooms.map((to) => String(count(from, to) || '·').padStart(5));
    console.log(from.padEnd(width + 1) + cells.join(''));
  }
  const upward = edges.filter(
    (e) => e.to === 'index' || rooms.indexOf(e.to) > rooms.indexOf(e.from),
  );
  for (const { file, to } of upward) console.log(`upward: ${file} → ${to}`);
  process.exitCode = upward.length > 0 ? 1 : 0;
}
