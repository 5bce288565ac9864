import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';

const packageFolder = (name: string): string =>
  dirname(createRequire(import.meta.url).resolve(`${name}/package.json`));

/** Packages that have fonts in them, so that cards look the same on every machine. */
const packages = [
  'dejavu-fonts-ttf',
  '@expo-google-fonts/lora',
  '@expo-google-fonts/courier-prime',
  '@expo-google-fonts/josefin-sans',
  '@expo-google-fonts/caveat',
];

/** Families that cards are printed in. */
export const printed = [
  'DejaVu Sans',
  'DejaVu Serif',
  'DejaVu Sans Condensed',
  'DejaVu Sans Mono',
  'Lora',
  'Courier Prime',
  'Josefin Sans',
] as const;
/** A hand. */
export const written = 'Caveat';

/** Lets pictures be drawn in these fonts alone: to be called before the first is drawn. */
export function useFonts(): void {
  const folder = mkdtempSync(join(tmpdir(), 'tender-crumb-fonts-'));
  const file = join(folder, 'fonts.conf');
  writeFileSync(
    file,
    `<?xml version="1.0"?><!DOCTYPE fontconfig SYSTEM "fonts.dtd"><fontconfig>${packages
      .map((name) => `<dir>${packageFolder(name)}</dir>`)
      .join('')}<cachedir>${folder}</cachedir></fontconfig>`,
  );
  process.env['FONTCONFIG_FILE'] = file;
  process.once('exit', () => rmSync(folder, { recursive: true, force: true }));
}
