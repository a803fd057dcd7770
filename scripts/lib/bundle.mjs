// Bundles a TypeScript entry for Node into .cache/NAME/, when its sources are newer. Packages that load files beside themselves stay
// outside; the rest goes in, since opening hundreds of small files costs half a second at every start.
import { existsSync, mkdirSync, readdirSync, renameSync, rmSync, statSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'

export const root = join(dirname(fileURLToPath(import.meta.url)), '../..')

function newest(path) {
  const s = statSync(path)
  if (!s.isDirectory()) return s.mtimeMs
  return Math.max(s.mtimeMs, ...readdirSync(path).map(f => newest(join(path, f))))
}

export async function bundle(entry, name) {
  const folder = join(root, '.cache', name)
  const out = join(folder, 'main.js')
  const sources = Math.max(
    newest(join(root, 'src/core')),
    newest(join(root, 'src/cli')),
    newest(join(root, 'scripts')),
    newest(join(root, 'demo')),
    statSync(join(root, 'package-lock.json')).mtimeMs,
  )
  if (existsSync(out) && statSync(out).mtimeMs > sources) return out
  mkdirSync(dirname(folder), { recursive: true })
  const { build } = await import('esbuild')
  const temporary = `${folder}.${process.pid}`
  await build({
    entryPoints: { main: join(root, entry) },
    outdir: temporary,
    bundle: true,
    splitting: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    alias: { '@': join(root, 'src') },
    logLevel: 'error',
    external: ['harfbuzzjs', '@napi-rs/canvas', 'esbuild', 'an-array-of-english-words', 'docx', 'pdfjs-dist/*'],
    // Bundled CommonJS packages still ask for `require`.
    banner: {
      js: "import { createRequire as __createRequire } from 'node:module'; const require = __createRequire(import.meta.url);",
    },
  })
  rmSync(folder, { recursive: true, force: true })
  renameSync(temporary, folder)
  return out
}
