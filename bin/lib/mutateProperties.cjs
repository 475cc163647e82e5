// A property is asked for 0.4 s of each mutant, not for all its runs: a mutant it does not see by then counts as one it does not see.
require('fast-check').configureGlobal({ interruptAfterTimeLimit: 400, markInterruptAsFailure: false });
