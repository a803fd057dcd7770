import nextJest from 'next/jest.js'

const base = nextJest({ dir: './' })({
  testEnvironment: 'node',
  extensionsToTreatAsEsm: ['.ts', '.tsx'],
  moduleNameMapper: {
    '^@/(.*)$': '<rootDir>/src/$1',
    // What the app serves as it is.
    '^/colour/lcms\\.js$': '<rootDir>/node_modules/lcms-wasm/dist/lcms.js',
  },
  testMatch: ['<rootDir>/src/**/*.test.ts', '<rootDir>/tests/**/*.test.ts'],
  modulePathIgnorePatterns: ['<rootDir>/.next/', '<rootDir>/.cache/'],
  // One a core: by itself Jest leaves a core to nobody.
  maxWorkers: 2,
  setupFiles: ['<rootDir>/tests/support/seed.ts'],
  // Many cases take their time.
  testTimeout: process.env.DEEP ? 3_600_000 : 90_000,
})

export default base
