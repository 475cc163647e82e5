// Runs HiGHS beside the server, one problem at a time: its calls block for as long as they take. Plain JavaScript, since
// a worker thread is started from its file.
const { parentPort } = require('node:worker_threads');
const loaded = require('highs')();

parentPort.on('message', async ({ id, ...problem }) => {
  try {
    parentPort.postMessage({ id, answer: solve(await loaded, problem) });
  } catch (error) {
    parentPort.postMessage({ id, problem: error instanceof Error ? error.message : String(error) });
  }
});

function solve(highs, { lp, start, timeLimitS, gap }) {
  return highs.withModel({ format: 'lp', data: lp }, (model) => {
    model.options.set({ output_flag: false, time_limit: timeLimitS, mip_rel_gap: gap });
    if (start.length > 0) model.setSolution({ colValue: Float64Array.from(start) });
    model.run();
    const { modelStatus, solutionStatus } = highs.constants;
    if (model.info.get('primal_solution_status') !== solutionStatus.feasible) return null;
    return {
      values: Array.from(model.getSolution().colValue),
      bound: model.info.get('mip_dual_bound'),
      isOptimal: model.getModelStatus() === modelStatus.optimal,
    };
  });
}
