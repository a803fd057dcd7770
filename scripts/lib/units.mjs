// Bundles the units for Jest into .cache/units/. Jest gives each test file a world of its own, into which hundreds of small modules
// would be loaded one by one: that took two seconds a file, four times as long as all that most of them try.
import { readdirSync, readFileSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { build, stop } from 'esbuild'
import { root } from './bundle.mjs'

const testsIn = folder =>
  readdirSync(join(root, folder), { recursive: true })
    .filter(f => f.endsWith('.test.ts'))
    .map(f => join(folder, f))

/** Modules that a test puts others in the place of: they stay outside of its bundle. */
const mockedBy = test => [
  ...new Set([...readFileSync(join(root, test), 'utf8').matchAll(/unstable_mockModule\(\s*'([^']+)'/g)].map(m => m[1])),
]

/** Bundles every unit; what several share is written once. Gives the folder. */
export async function bundleUnits() {
  const outdir = join(root, '.cache/units')
  rmSync(outdir, { recursive: true, force: true })
  const options = {
    outdir,
    outbase: root,
    absWorkingDir: root,
    bundle: true,
    splitting: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    packages: 'external',
    alias: { '@': join(root, 'src') },
    outExtension: { '.js': '.mjs' },
    // One that differs from a component by a capital alone is not that.
    resolveExtensions: ['.ts', '.tsx', '.mjs', '.js', '.json'],
    // What a test imports for what it does to the world stays.
    ignoreAnnotations: true,
    logLevel: 'error',
  }
  const tests = ['src', 'tests'].flatMap(testsIn)
  const mocking = tests.filter(t => mockedBy(t).length)
  await build({
    ...options,
    entryPoints: [...tests.filter(t => !mocking.includes(t)), 'tests/support/seed.ts'],
    chunkNames: 'chunks/[hash]',
  })
  for (const test of mocking)
    await build({
      ...options,
      alias: {},
      tsconfig: 'tsconfig.json',
      external: mockedBy(test),
      entryPoints: [test],
      chunkNames: 'chunks/[hash]',
    })
  await stop()
  return outdir
}
