// Reads one calendar beside the server, and ends: whoever started it ends it where that takes too long.
const { parentPort, workerData } = require('node:worker_threads');

const thread = require('../threads/stepBack.cjs').stepBack();
if (thread !== undefined) parentPort.postMessage({ thread });
// Read after that: the reading takes its time too.
const { busyDays, Unreadable } = require('./busyDays.cjs');
const { text, zone, from, days, hours } = workerData;
try {
  parentPort.postMessage({ busy: busyDays(text, zone, from, days, hours, (at) => parentPort.postMessage({ at })) });
} catch (error) {
  if (!(error instanceof Unreadable)) throw error;
  parentPort.postMessage({ problem: error.message });
}
