import pino from 'pino';

/** One line a problem, for the person who runs it; no personal text. */
export const log = pino({ name: 'tender-crumb', level: process.env['LOG_LEVEL'] ?? 'info' });
