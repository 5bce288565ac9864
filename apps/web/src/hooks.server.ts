import { building } from '$app/environment';
import { kitchen, isDemo, closeKitchen } from '$lib/server/kitchen.ts';
import { log } from '$lib/server/log.ts';
import { fillDemo } from '$lib/server/demo.ts';
import type { Handle, HandleServerError, ServerInit } from '@sveltejs/kit';

export const init: ServerInit = async () => {
  if (building) return;
  const db = await kitchen();
  if (isDemo()) await fillDemo(db, new Date());
  process.once('sveltekit:shutdown', () => void closeKitchen());
};

const themes = ['light', 'dark'] as const;

/** The theme is known before the first paint: the page never flashes. */
export const handle: Handle = async ({ event, resolve }) => {
  const asked = event.cookies.get('theme');
  const theme = themes.find((t) => t === asked) ?? 'system';
  event.locals.theme = theme;
  const response = await resolve(event, {
    transformPageChunk: ({ html }) =>
      html.startsWith('<!doctype') ? html.replace('%theme%', theme) : html,
  });
  response.headers.set('x-content-type-options', 'nosniff');
  response.headers.set('referrer-policy', 'same-origin');
  response.headers.set('cross-origin-opener-policy', 'same-origin');
  return response;
};

export const handleError: HandleServerError = ({ error, event, status }) => {
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
