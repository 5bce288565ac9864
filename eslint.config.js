import svelte from 'eslint-plugin-svelte';
import globals from 'globals';
import ts from 'typescript-eslint';
import svelteConfig from './apps/web/svelte.config.js';
import { rooms } from './scripts/rooms.mjs';

const downwards = rooms.map((room, i) => ({
  files: [`packages/core/src/${room}/**/*.ts`],
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: [
          {
            regex: `(^|/)\\.\\./(${[...rooms.slice(i + 1), 'index'].join('|')})[/.]`,
            message: `The room ${room} knows nothing of the rooms above it.`,
          },
        ],
      },
    ],
  },
}));

export default ts.config(
  { ignores: ['**/build/', '**/.svelte-kit/', '**/node_modules/', 'data/', '**/test-results/'] },
  ...ts.configs.recommended,
  ...svelte.configs.recommended,
  { languageOptions: { globals: { ...globals.node, ...globals.browser } } },
  {
    files: ['**/*.svelte', '**/*.svelte.ts'],
    languageOptions: {
      parserOptions: { parser: ts.parser, extraFileExtensions: ['.svelte'], svelteConfig },
    },
    // Links go to our own places by plain paths; the application is never served below another path.
    // Dates here are values made and read at once, never state.
    rules: {
      'svelte/no-navigation-without-resolve': 'off',
      'svelte/prefer-svelte-reactivity': 'off',
    },
  },
  { files: ['**/*.cjs'], rules: { '@typescript-eslint/no-require-imports': 'off' } },
  {
    files: ['**/*.ts', '**/*.svelte'],
    rules: {
      '@typescript-eslint/no-unused-expressions': 'off',
      '@typescript-eslint/no-non-null-assertion': 'off',
    },
  },
  ...downwards,
);
