import nextJest from 'next/jest.js'

const base = nextJest({ dir: './' })({
  testEnvironment: 'node',
  extensionsToTreatAsEsm: ['.ts', '.tsx'],
  moduleNameMapper: { '^@/(.*)$': '<rootDir>/src/$1' },
  testMatch: ['<rootDir>/src/**/*.test.ts', '<rootDir>/tests/**/*.test.ts'],
  modulePathIgnorePatterns: ['<rootDir>/.next/', '<rootDir>/.cache/'],
  testTimeout: 60000,
})

export default base
