import pino from 'pino';

/** What the server has to say besides its answers, as JSON lines on stderr. */
export const log = pino({ name: 'coulee', level: process.env.LOG_LEVEL ?? 'info' }, pino.destination(2));
