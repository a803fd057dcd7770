import { spawnSync } from 'node:child_process'
import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { performance } from 'node:perf_hooks'
import { readManuscript, understoodWords } from '@/core/intake'

/** Reads a manuscript of so many words in each kind of file, as an outside converter writes it from the .docx named; prints what each took, ms, as a line of JSON. Best of three. */
const docx = process.argv[2]!
const folder = mkdtempSync(join(tmpdir(), 'intake-'))
try {
  for (const [kind, budgetMs] of [
    ['docx', 400],
    ['odt', 600],
    ['epub', 500],
    ['html', 500],
  ] as const) {
    const path = kind === 'docx' ? docx : join(folder, `long.${kind}`)
    if (kind !== 'docx') {
      const r = spawnSync('pandoc', ['--standalone', '-o', path, docx], { encoding: 'utf8' })
      if (r.status !== 0) throw new Error(r.stderr)
    }
    const bytes = new Uint8Array(readFileSync(path))
    const runs = [1, 2, 3].map(() => {
      const start = performance.now()
      const read = readManuscript(`long.${kind}`, bytes)
      return { ms: performance.now() - start, words: understoodWords(read.book) }
    })
    const ms = Math.min(...runs.map(r => r.ms))
    process.stdout.write(`${JSON.stringify({ kind, ms, first: runs[0]!.ms, words: runs[0]!.words, budgetMs })}\n`)
  }
} finally {
  rmSync(folder, { recursive: true })
}
