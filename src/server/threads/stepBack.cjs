const fs = require('node:fs');
const os = require('node:os');

/** How far a thread that works steps back behind the one that answers. @source nice(2): 0 is usual, 19 the most polite */
const NICE = 10;

/**
 * Lets the thread it is called in work when the one that answers has nothing to do: with as many threads as cores all of them would
 * get the same. On Linux, where each thread has a number of its own; elsewhere nothing changes.
 * @returns {string | undefined} that number
 */
exports.stepBack = () => {
  try {
    const thread = fs.readlinkSync('/proc/thread-self').split('/').at(-1);
    os.setPriority(Number(thread), NICE);
    return thread;
  } catch {
    // No such place on this system: they share as equals.
    return undefined;
  }
};
