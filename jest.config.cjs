const swcOptions = require('./tools/testing/swcOptions.cjs');

const transform = { '^.+\\.tsx?$': ['@swc/jest', swcOptions] };
// Ant Design's parts and uuid ship modules that Jest cannot load as they are.
const transformModules = { ...transform, '^.+\\.m?js$': transform['^.+\\.tsx?$'] };
const moduleNameMapper = { '^@olvet/core$': '<rootDir>/../core/src/index.ts' };

/** Packages without a page: all but the specs is loaded outside Jest's sandbox. */
const plain = (name) => ({
  displayName: name,
  rootDir: name,
  testEnvironment: '<rootDir>/../tools/testing/outsideEnvironment.cjs',
  transform: { '\\.([cm]?js|tsx?)$': '<rootDir>/../tools/testing/outsideTransform.cjs' },
  // Jest's own modules stay as they are; a spec's other packages are those of the code it tests.
  transformIgnorePatterns: ['/node_modules/(@?jest|expect|@swc)', '/tools/testing/'],
  moduleNameMapper,
  testMatch: ['**/*.spec.ts'],
});

/** @type {import('jest').Config} */
module.exports = {
  projects: [
    plain('core'),
    plain('server'),
    plain('standins'),
    plain('tools'),
    {
      displayName: 'web',
      rootDir: 'web',
      testEnvironment: '<rootDir>/testing/environment.cjs',
      transform: transformModules,
      transformIgnorePatterns: ['node_modules/(?!(uuid|@ant-design|@rc-component|antd|@babel/runtime)/)'],
      moduleNameMapper: {
        '^@olvet/core$': '<rootDir>/../tools/testing/core.cjs',
        '[.]css$': '<rootDir>/testing/styles.cjs',
        // One file instead of a thousand, for every spec that shows a page.
        '^antd$': '<rootDir>/../node_modules/antd/dist/antd.min.js',
      },
      setupFilesAfterEnv: ['<rootDir>/testing/setup.ts'],
      testEnvironmentOptions: { customExportConditions: ['node', 'require', 'default'] },
    },
  ],
  testTimeout: 60000,
};
