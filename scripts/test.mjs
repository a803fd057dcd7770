// npm test: set-up, types, lint, units, build, the real interface, outside checkers. `npm test -- quick` is for between two commits: types,
// layout, lint, import rules, and the units of `src` with few cases. `npm run test:deep` tries thousands of cases where this tries a
// hundred, and takes hours.
import { bin, must, packages, programs, together } from './lib/setup.mjs'
import { sources } from './lib/sources.mjs'

const quick = process.argv.includes('quick')
const deep = process.argv.includes('deep') ? { DEEP: '1' } : {}
packages()
if (!quick) programs()
if (process.argv.includes('deep')) sources()
must('node', ['scripts/assets.mjs'])
const took = {}
const step = (name, program, args, env) => {
  console.log(`\n— ${name}`)
  took[name] = must(program, args, env)
}
const types = ['types', bin('tsc'), ['-p', 'tsconfig.json']]
const coreTypes = ['types of the core, without DOM', bin('tsc'), ['-p', 'tsconfig.core.json']]
const layout = ['layout', bin('prettier'), ['--check', '--cache', '--log-level', 'warn', '.']]
const lint = ['lint', bin('eslint'), ['.', '--max-warnings', '0']]
const imports = [
  'imports run downward',
  bin('depcruise'),
  ['src', 'tests', 'demo', '--config', '.dependency-cruiser.cjs'],
]
const jest = ['--experimental-vm-modules', '--no-warnings', 'node_modules/jest/bin/jest.js']
if (quick) {
  Object.assign(
    took,
    await together([
      [types, coreTypes],
      [layout, lint, imports],
    ]),
  )
  step('units, few cases', process.execPath, [...jest, 'src'], { QUICK: '1' })
} else {
  // What only reads the sources goes beside the build: each alone would leave a core at rest. Types read what the build makes.
  const build = ['build', bin('next'), ['build']]
  Object.assign(
    took,
    await together([
      [build, types],
      [layout, lint, imports, coreTypes],
    ]),
  )
  step('units and outside checkers', process.execPath, jest, deep)
  step('the real interface', bin('playwright'), ['test'], deep)
}
console.log(
  '\n' +
    Object.entries(took)
      .map(([n, ms]) => `${(ms / 1000).toFixed(0).padStart(4)} s  ${n}`)
      .join('\n'),
)
