const { createTransformer } = require('@swc/jest');
const swcOptions = require('./swcOptions.cjs');

const swc = createTransformer(swcOptions);

/** What runs in Jest's sandbox: specs and what calls beforeAll and the like for them. All else stays outside it. */
const INSIDE = /[.]spec[.]tsx?$|[/]src[/]testing[/]/;

module.exports = {
  process(source, file, options) {
    if (INSIDE.test(file)) return swc.process(source, file, options);
    return { code: `module.exports = requireOutside(${JSON.stringify(file)});` };
  },
  getCacheKey(source, file, options) {
    if (INSIDE.test(file)) return swc.getCacheKey(source, file, options);
    return `outside:${file}`;
  },
};
