import reactHooks from 'eslint-plugin-react-hooks'
import sonar from 'eslint-plugin-sonarjs'
import tseslint from 'typescript-eslint'

const clockAndChance = [
  { object: 'Date', property: 'now', message: 'The core gets time as an argument.' },
  { object: 'Math', property: 'random', message: 'The core gets seeds as arguments.' },
  { object: 'crypto', property: 'randomUUID', message: 'The core makes ids from its inputs.' },
  { property: 'localeCompare', message: 'Order differs between machines: compare code units.' },
]

export default tseslint.config(
  {
    ignores: [
      '.next/**',
      '.cache/**',
      'node_modules/**',
      'public/**',
      'next-env.d.ts',
      'coverage/**',
      'test-results/**',
    ],
  },
  ...tseslint.configs.recommended,
  {
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/consistent-type-imports': [
        'error',
        { fixStyle: 'inline-type-imports', disallowTypeAnnotations: false },
      ],
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      'no-empty': ['error', { allowEmptyCatch: false }],
      'prefer-const': 'error',
      eqeqeq: ['error', 'smart'],
    },
  },
  {
    plugins: { sonar },
    rules: {
      'sonar/no-all-duplicated-branches': 'error',
      'sonar/no-duplicated-branches': 'error',
      'sonar/no-identical-conditions': 'error',
    },
  },
  {
    // What is longer holds more than one idea.
    files: ['src/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: { 'max-lines-per-function': ['error', { max: 80 }], 'max-params': ['error', 5] },
  },
  {
    // A design is a document: a list of what stands on it.
    files: ['src/core/cover/designs/*/*.ts'],
    rules: { 'max-lines-per-function': 'off' },
  },
  {
    files: ['src/**/*.tsx'],
    rules: { 'max-lines-per-function': ['error', { max: 150 }], 'max-params': ['error', 5] },
  },
  {
    files: ['src/{app,rooms,parts,look}/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': reactHooks },
    rules: {
      'react-hooks/rules-of-hooks': 'error',
      'react-hooks/exhaustive-deps': ['error', { additionalHooks: '(usePress|useAnswer)' }],
    },
  },
  {
    files: ['src/core/**/*.ts'],
    ignores: ['src/core/**/*.test.ts'],
    rules: {
      'no-restricted-properties': ['error', ...clockAndChance],
      'no-restricted-globals': [
        'error',
        'window',
        'document',
        'fetch',
        'localStorage',
        'indexedDB',
        'performance',
        'process',
        'setTimeout',
        'Buffer',
      ],
      'no-restricted-syntax': [
        'error',
        {
          selector: "NewExpression[callee.name='Date'][arguments.length=0]",
          message: 'The core gets time as an argument.',
        },
      ],
    },
  },
)
