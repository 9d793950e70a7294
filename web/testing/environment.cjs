const { TestEnvironment } = require('jest-environment-jsdom');
const { requireOutside } = require('../../tools/testing/outside.cjs');

/** jsdom with Node's own fetch, which jsdom lacks: pages are tested against a server that answers from memory. */
module.exports = class extends TestEnvironment {
  async setup() {
    await super.setup();
    Object.assign(this.global, {
      requireOutside,
      fetch,
      Request,
      Response,
      Headers,
      AbortController,
      AbortSignal,
      structuredClone,
      TextEncoder,
      TextDecoder,
    });
  }
};
