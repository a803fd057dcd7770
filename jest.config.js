import nextJest from 'next/jest.js'

const base = nextJest({ dir: './' })({
  testEnvironment: 'node',
  extensionsToTreatAsEsm: ['.ts', '.tsx'],
  moduleNameMapper: { '^@/(.*)$': '<rootDir>/src/$1' },
  testMatch: ['<rootDir>/src/**/*.test.ts', '<rootDir>/tests/**/*.test.ts'],
  modulePathIgnorePatterns: ['<rootDir>/.next/', '<rootDir>/.cache/'],
  setupFiles: ['<rootDir>/tests/support/seed.ts'],
  testTimeout: 90000,
})

export default base
