import pino, { type Logger } from 'pino';

const holder = globalThis as { fractumLog?: Logger };

/** The structured log, one JSON object to a line; FRACTUM_LOG sets the level. */
export function log(): Logger {
  holder.fractumLog ??= pino({
    level: process.env.FRACTUM_LOG ?? 'info',
    serializers: { error: pino.stdSerializers.err },
  });
  return holder.fractumLog;
}
