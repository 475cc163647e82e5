import pino from 'pino';

/**
 * What the server says while it runs: a line of JSON each, with its level. `VB_LOG` sets from which level on (`debug`, `info`,
 * `warn`, `error`, `silent`). Nothing that opens anything stands there: neither headers nor bodies are written, and of secret
 * addresses only where they are.
 */
export const log = pino(
  {
    level: process.env.VB_LOG ?? (process.env.NODE_ENV === 'test' ? 'silent' : 'info'),
    base: undefined,
    timestamp: pino.stdTimeFunctions.isoTime,
    serializers: { err: pino.stdSerializers.err },
    redact: {
      paths: ['*.password', '*.pin', '*.secret', '*.token', 'err.config', 'err.parameters', 'err.detail'],
      censor: '…',
    },
  },
  // Written when there is time: a terminal that reads slowly does not hold the house up.
  pino.destination({ dest: 1, sync: false }),
);

/** Tells of something that went wrong, whatever was thrown. */
export function complain(about: string, error?: unknown): void {
  if (error === undefined) log.error(about);
  else log.error({ err: error instanceof Error ? error : new Error(String(error)) }, about);
}
