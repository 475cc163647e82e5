/**
 * Asks HiGHS in the thread one is in: blocks for as long as it takes. Plain JavaScript, since a worker thread is started
 * from its file.
 */
exports.solveProgramme = (highs, question) => {
  try {
    return solve(highs, question, 'choose');
  } catch {
    // Seen with 1.15.1: what presolve took out comes back as a solution that breaks a row, which HiGHS tells as an error.
    // Without presolve it is slower and right.
    return solve(highs, question, 'off');
  }
};

function solve(highs, { lp, start, timeLimitS, gap }, presolve) {
  return highs.withModel({ format: 'lp', data: lp }, (model) => {
    model.options.set({ output_flag: false, time_limit: timeLimitS, mip_rel_gap: gap, presolve });
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
