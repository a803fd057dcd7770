import { bundleUnits } from './scripts/lib/units.mjs'

/** Units run bundled: a pattern of a path chooses among them as it would among the sources. */
export default async () => {
  const units = await bundleUnits()
  return {
    rootDir: import.meta.dirname,
    roots: [units],
    testEnvironment: 'node',
    transform: {},
    testMatch: ['**/*.test.mjs'],
    moduleFileExtensions: ['mjs', 'js', 'json', 'node', 'ts', 'tsx'],
    moduleNameMapper: {
      // What a test puts another in the place of.
      '^@/(.*)$': '<rootDir>/src/$1',
      // What the app serves as it is.
      '^/colour/lcms\\.js$': '<rootDir>/node_modules/lcms-wasm/dist/lcms.js',
    },
    // One a core: by itself Jest leaves a core to nobody.
    maxWorkers: 2,
    // Worlds that were left are not all given back.
    workerIdleMemoryLimit: '1500MB',
    setupFiles: [`${units}/tests/support/seed.mjs`],
    // Many cases take their time.
    testTimeout: process.env.DEEP ? 3_600_000 : 90_000,
  }
}
