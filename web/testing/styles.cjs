// CSS modules in unit tests: every class is its own name.
module.exports = new Proxy({}, { get: (_, name) => (name === '__esModule' ? false : name) });
