// Runs HiGHS beside the server, one problem at a time: its calls block for as long as they take.
require('../threads/stepBack.cjs').stepBack();
const { parentPort } = require('node:worker_threads');
const { solveProgramme } = require('./solveProgramme.cjs');
const loaded = require('highs')();

parentPort.on('message', async ({ id, ...problem }) => {
  try {
    parentPort.postMessage({ id, answer: solveProgramme(await loaded, problem) });
  } catch (error) {
    parentPort.postMessage({ id, problem: error instanceof Error ? error.message : String(error) });
  }
});
