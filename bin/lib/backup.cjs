const path = require('node:path');
const { bundles, root } = require('./bundle.cjs');
const { PROGRAMS } = require('./programs.cjs');

/** Runs a command about backups, with the arguments of this process; files are named from where it was called. */
exports.runBackup = function runBackup(command) {
  const from = process.cwd();
  const [node, script, ...given] = process.argv;
  const told = given.map((each) => (each.startsWith('--') ? each : path.resolve(from, each)));
  process.chdir(root);
  const { backup } = bundles('backup', PROGRAMS.backup);
  process.argv = [node, script, command, ...told];
  require(backup);
};
