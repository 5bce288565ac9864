import type { Plugin } from 'vite';

/** Where each page begins: the router and the layout. */
const begins = /client-optimized\/(?:app|nodes\/0)\.js$|runtime\/client\/entry\.js$/;

/** Of the core a page fetches what it needs itself: one name of a room would bring the whole room to every page. */
const apart = '/packages/core/';

/**
 * What every page needs goes to it as one file. By itself it is some twenty, most under a kilobyte, each with headers of
 * half a kilobyte and a dictionary of its own.
 */
export function everyPage(): Plugin {
  const needed = new Set<string>();
  return {
    name: 'every-page',
    apply: (_, { isSsrBuild }) => !isSsrBuild,
    config: () => ({
      build: {
        rolldownOptions: {
          output: {
            codeSplitting: {
              groups: [{ name: (id) => (needed.has(id) ? 'every-page' : null) }],
            },
          },
        },
      },
    }),
    buildEnd() {
      const need = (id: string): void => {
        if (needed.has(id) || id.includes(apart)) return;
        needed.add(id);
        this.getModuleInfo(id)?.importedIds.forEach(need);
      };
      for (const id of this.getModuleIds())
        if (begins.test(id)) this.getModuleInfo(id)?.importedIds.forEach(need);
    },
  };
}
