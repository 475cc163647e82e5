/** The programs that are bundled, each with the sources it begins with. */
exports.PROGRAMS = {
  server: { thread: 'src/server/threads/worker.ts', server: 'src/server/main.ts' },
  backup: { backup: 'src/server/backup/cli.ts' },
};
