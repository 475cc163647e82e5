// A browser's document whose `fetch` reaches the standing server of this worker (see src/server/testing/standingServers.ts).
const { TestEnvironment } = require('jest-environment-jsdom');

const addresses = (process.env.VB_STANDING ?? '').split(' ');
const address = addresses[(Number(process.env.JEST_WORKER_ID ?? '1') - 1) % addresses.length];

module.exports = class extends TestEnvironment {
  async setup() {
    await super.setup();
    Object.assign(this.global, { Request, Response, Headers, structuredClone });
    this.global.fetch = (asked, init) => fetch(new URL(asked, address), init);
  }
};
