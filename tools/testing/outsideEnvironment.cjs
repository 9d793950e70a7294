const { TestEnvironment } = require('jest-environment-node');
const { requireOutside } = require('./outside.cjs');

/** Node's, with a way out of the sandbox for all code but the specs (outsideTransform.cjs). */
module.exports = class extends TestEnvironment {
  async setup() {
    await super.setup();
    // An error thrown outside is an instance of the class that a spec names.
    Object.assign(this.global, { requireOutside, Error, RangeError, TypeError, SyntaxError });
  }
};
