// Reads one calendar beside the server, and ends: whoever started it ends it where that takes too long.
const { parentPort, workerData } = require('node:worker_threads');
const { busyDays, Unreadable } = require('./busyDays.cjs');

require('../threads/stepBack.cjs').stepBack();
const { text, zone, from, days, hours } = workerData;
try {
  parentPort.postMessage({ busy: busyDays(text, zone, from, days, hours, (at) => parentPort.postMessage({ at })) });
} catch (error) {
  if (!(error instanceof Unreadable)) throw error;
  parentPort.postMessage({ problem: error.message });
}
