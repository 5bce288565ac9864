import { defineConfig } from 'vite';

/**
 * What of the server is no page: the program that listens, and what works beside it. Built
 * into the folder of the application, after it.
 */
export default defineConfig({
  publicDir: false,
  build: {
    ssr: true,
    target: 'node20',
    outDir: 'build',
    emptyOutDir: false,
    rollupOptions: {
      input: {
        serve: 'src/lib/server/serve/main.ts',
        worker: 'src/lib/server/jobs/worker.ts',
        'page-reader': 'src/lib/server/pages/apart.ts',
      },
      output: { entryFileNames: '[name].js', chunkFileNames: 'node/[name]-[hash].js' },
    },
  },
  ssr: { noExternal: ['@tender-crumb/core'] },
});
