const { default: Sequencer } = require('@jest/test-sequencer');

/** What answers quickest comes first: a mutant that it kills need not wait for the long properties. */
module.exports = class extends Sequencer {
  sort(tests) {
    const rank = ({ path }) => (path.includes('reckoned') ? 0 : 1);
    return [...tests].sort((a, b) => rank(a) - rank(b) || a.path.localeCompare(b.path));
  }
};
