import pino from 'pino';

/** Structured lines on standard error, one JSON object each. */
export const log = pino({ level: process.env.LOG_LEVEL ?? 'warn' }, pino.destination(2));
