// Bundles a TypeScript entry for Node into .cache/, when its sources are newer. Packages stay outside the bundle.
import { existsSync, mkdirSync, readdirSync, renameSync, statSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'

export const root = join(dirname(fileURLToPath(import.meta.url)), '../..')

function newest(path) {
  const s = statSync(path)
  if (!s.isDirectory()) return s.mtimeMs
  return Math.max(s.mtimeMs, ...readdirSync(path).map(f => newest(join(path, f))))
}

export async function bundle(entry, name) {
  const out = join(root, '.cache', name + '.mjs')
  const sources = Math.max(newest(join(root, 'src/core')), newest(join(root, 'src/cli')), newest(join(root, 'scripts')), statSync(join(root, 'package-lock.json')).mtimeMs)
  if (existsSync(out) && statSync(out).mtimeMs > sources) return out
  mkdirSync(dirname(out), { recursive: true })
  const { build } = await import('esbuild')
  const temporary = `${out}.${process.pid}`
  await build({ entryPoints: [join(root, entry)], outfile: temporary, bundle: true, platform: 'node', format: 'esm', target: 'node20', packages: 'external', alias: { '@': join(root, 'src') }, logLevel: 'error', sourcemap: false })
  renameSync(temporary, out)
  return out
}
