const { transformSync } = require('@swc/core');
const Module = require('node:module');
const { join } = require('node:path');
const { addHook } = require('pirates');
const swcOptions = require('./swcOptions.cjs');

/**
 * Loads a module outside Jest's sandbox, once for each worker process. Inside it every look-up of a global goes through
 * the sandbox, which makes an advice answer take four times as long, and every spec file loads all it needs again.
 */
const core = join(__dirname, '..', '..', 'core', 'src', 'index.ts');
const resolveFilename = Module._resolveFilename;
Module._resolveFilename = (request, ...rest) => (request === '@olvet/core' ? core : resolveFilename(request, ...rest));
addHook((code, filename) => transformSync(code, { ...swcOptions, filename, sourceMaps: 'inline' }).code, {
  exts: ['.ts'],
});
process.setSourceMapsEnabled(true);

exports.requireOutside = (file) => require(file);
