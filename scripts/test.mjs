// npm test: set-up, types, lint, units, build, the real interface, outside checkers. `npm test -- quick` leaves out what takes minutes;
// `npm run test:deep` tries thousands of cases where this tries a hundred, and takes hours.
import { bin, must, packages, programs } from './lib/setup.mjs'

const quick = process.argv.includes('quick')
const deep = process.argv.includes('deep') ? { DEEP: '1' } : {}
packages()
programs()
must('node', ['scripts/assets.mjs'])
const took = {}
const step = (name, program, args, env) => {
  console.log(`\n— ${name}`)
  took[name] = must(program, args, env)
}
step('build', bin('next'), ['build'])
step('types', bin('tsc'), ['-p', 'tsconfig.json'])
step('types of the core, without DOM', bin('tsc'), ['-p', 'tsconfig.core.json'])
step('layout', bin('prettier'), ['--check', '--log-level', 'warn', '.'])
step('lint', bin('eslint'), ['.', '--max-warnings', '0'])
step('imports run downward', bin('depcruise'), ['src', 'tests', 'demo', '--config', '.dependency-cruiser.cjs'])
const jest = ['--experimental-vm-modules', '--no-warnings', 'node_modules/jest/bin/jest.js']
step('units and outside checkers', process.execPath, quick ? [...jest, 'src'] : jest, deep)
step('the real interface', bin('playwright'), ['test'], deep)
console.log(
  '\n' +
    Object.entries(took)
      .map(([n, ms]) => `${(ms / 1000).toFixed(0).padStart(4)} s  ${n}`)
      .join('\n'),
)
