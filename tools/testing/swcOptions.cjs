/** How TypeScript becomes JavaScript in the tests, inside Jest's sandbox and outside it alike. */
module.exports = {
  jsc: {
    parser: { syntax: 'typescript', tsx: true, decorators: true },
    transform: { legacyDecorator: true, decoratorMetadata: true, react: { runtime: 'automatic' } },
    target: 'es2022',
    // sequelize models declare their columns; fields defined by the class would shadow them.
    assumptions: { setPublicClassFields: true },
  },
  module: { type: 'commonjs' },
};
