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
            regex: `(^|/)\\.\\./(${rooms.slice(i + 1).join('|')})/`,
            message: `The room ${room} knows nothing of the rooms above it.`,
          },
          {
            regex: '(^|/)index[.]ts$',
            message: 'What a room hands out is for those outside the core; within, name the file.',
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
  {
    files: ['apps/web/src/**/*.ts', 'apps/web/src/**/*.svelte', 'demo/**/*.ts'],
    ignores: ['apps/web/src/lib/clock.ts', 'apps/web/src/service-worker.ts'],
    rules: {
      'no-restricted-syntax': [
        'error',
        ...[
          'NewExpression[callee.name="Date"][arguments.length=0]',
          'CallExpression[callee.object.name="Date"][callee.property.name="now"]',
          'CallExpression[callee.object.name="DateTime"][callee.property.name=/^(?:now|local|utc)$/][arguments.length=0]',
        ].map((selector) => ({ selector, message: 'There is one clock: lib/clock.ts.' })),
      ],
    },
  },
  {
    // Every change goes through lib/sync, which keeps it before it is sent; a question changes nothing.
    files: ['apps/web/src/**/*.ts', 'apps/web/src/**/*.svelte'],
    ignores: [
      'apps/web/src/lib/sync/**',
      'apps/web/src/lib/question.ts',
      'apps/web/src/lib/away/away.svelte.ts',
      'apps/web/src/lib/away/shown.ts',
      'apps/web/src/lib/server/**',
      'apps/web/src/service-worker.ts',
    ],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [{ regex: 'sync/api[.]ts$', message: 'lib/sync is the only writer.' }],
        },
      ],
      'no-restricted-globals': [
        'error',
        { name: 'fetch', message: 'lib/sync is the only writer.' },
      ],
    },
  },
  {
    // What server and page both speak stands in lib/wire and lib/clock.ts; the server knows nothing of the pages.
    files: ['apps/web/src/lib/server/**/*.ts', 'apps/web/src/routes/api/**/*.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              regex: String.raw`^(?:\$lib|(?:\.\./)+)/?(?:away|bake|bench|book|corrections|goal|leaven|leavens|level|pantry|paste|plan|practice|rescue|rise|run|sheet|sure|swap|sync|ui)/`,
              message: 'The server imports nothing of the interface.',
            },
          ],
        },
      ],
    },
  },
  ...downwards,
);
