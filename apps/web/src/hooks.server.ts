import { building } from '$app/environment';
import { StorageFault } from '$lib/server/database/fault.ts';
import { drawDemo, fillDemo } from '$lib/server/demo.ts';
import { keepWritten } from '$lib/server/gate/doors-book.ts';
import { doors, dressed, paired, sound } from '$lib/server/gate/gate.ts';
import { learnSoon } from '$lib/server/jobs/learning.ts';
import { backUpEachNight } from '$lib/server/jobs/nightly.ts';
import { closeKitchen, databaseFile, isDemo, kitchen } from '$lib/server/kitchen.ts';
import { writeWords } from '$lib/server/store/formulas.ts';
import { wantLearningBy } from '$lib/server/store/learning.ts';
import { modelVersion } from '@tender-crumb/core/learn';
import { log } from '$lib/server/log.ts';
import { photoFolder } from '$lib/server/store/picture-files.ts';
import type { Handle, HandleServerError, ServerInit } from '@sveltejs/kit';
import { sequence } from '@sveltejs/kit/hooks';
import { clockOffset, currentTime } from '$lib/clock.ts';

export const init: ServerInit = async () => {
  if (building) return;
  process.once('sveltekit:shutdown', () => {
    keepWritten();
    void closeKitchen();
  });
  try {
    const db = await kitchen();
    await wantLearningBy(db, modelVersion);
    await writeWords(db);
    if (isDemo()) {
      const today = currentTime();
      await fillDemo(db, today);
      // Drawn beside what is served: nobody waits for a picture.
      void drawDemo(db, photoFolder(databaseFile()), today).catch((fault: Error) =>
        log.error({ fault: fault.message }, 'the demo’s loaves were not drawn'),
      );
    }
    await learnSoon(db, databaseFile());
    process.once('sveltekit:shutdown', backUpEachNight(databaseFile()));
  } catch (fault) {
    if (!(fault instanceof StorageFault)) throw fault;
    console.error(`${fault.message}\n(${databaseFile()})`);
    if (fault.trouble === 'served') process.exit(1);
  }
};

const themes = ['light', 'dark'] as const;

/** The theme is known before the first paint: the page never flashes. It goes by the clock of this server. */
const themed: Handle = async ({ event, resolve }) => {
  const asked = event.cookies.get('theme');
  const theme = themes.find((t) => t === asked) ?? 'system';
  event.locals.theme = theme;
  return resolve(event, {
    transformPageChunk: ({ html }) =>
      html.startsWith('<!doctype')
        ? html.replace('%theme%', theme).replace('%clock%', String(clockOffset))
        : html,
  });
};

export const handle = sequence(dressed, doors, sound, paired, themed);

export const handleError: HandleServerError = ({ error, event, status }) => {
  if (error instanceof StorageFault) {
    log.error({ route: event.route.id, fault: error.trouble }, 'a page failed');
    return { message: error.message };
  }
  if (status !== 404) {
    log.error({ route: event.route.id, fault: (error as Error).message }, 'a page failed');
  }
  return {
    message:
      status === 404
        ? 'There is nothing here.'
        : 'Something went wrong on our side. Nothing that was saved is lost.',
  };
};
