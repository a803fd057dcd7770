// npm run bench: budgets and what was measured, each size in fresh processes; the best of five for 100,000 words, since the machine is shared.
import { spawnSync } from 'node:child_process'
import { writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { bundle, root } from './lib/bundle.mjs'

const entry = await bundle('scripts/bench.ts', 'bench')
const once = words => {
  const r = spawnSync(process.execPath, [entry, String(words)], { cwd: root, encoding: 'utf8', maxBuffer: 1 << 26 })
  if (r.status !== 0) throw new Error(r.stderr)
  return JSON.parse(r.stdout)
}
const paceEntry = await bundle('scripts/bench-pace.ts', 'bench-pace')
const pace = () => Number(spawnSync(process.execPath, [paceEntry], { cwd: root, encoding: 'utf8' }).stdout)
const paces = [pace()]
const runs = [1, 2, 3, 4, 5].map(() => {
  const run = once(100_000)
  paces.push(pace())
  return run
})
const best = key => Math.min(...runs.map(r => r[key]))
const long = once(500_000)
const r = runs[0]
const line = (name, value, budget) => console.log(`${name.padEnd(44)} ${value.padStart(14)}   ${budget}`)
console.log(
  `\n${r.words} words, EB Garamond 11/14 on ${r.measureIn.toFixed(2)} in, 6 × 9 in, ${r.pages} pages (best of five fresh processes)\n`,
)
line('read .docx', `${best('readMs').toFixed(0)} ms`, 'budget 3000 ms')
line('set, cold', `${best('setMs').toFixed(0)} ms`, 'budget 1000 ms')
line('', runs.map(x => x.setMs.toFixed(0)).join(' '), 'each run')
line(
  '',
  paces.map(x => x.toFixed(0)).join(' '),
  'the machine’s pace before and after each (430 where the budgets were set)',
)
line('', `${Math.round((r.words / best('setMs')) * 1000)} words/s`, '')
line('PDF', `${best('pdfMs').toFixed(0)} ms`, 'budget 800 ms')
line('', `${(r.pdfBytes / 1e6).toFixed(2)} MB`, 'budget 1.5 MB')
line('EPUB', `${best('epubMs').toFixed(0)} ms`, 'budget 500 ms')
line(
  'EPUB with 50 pictures, looked over',
  `${best('picturedMs').toFixed(0)} ms`,
  `budget 1000 ms (${(r.picturedBytes / 1e6).toFixed(1)} MB)`,
)
line('memory, whole process', `${best('memoryMb').toFixed(0)} MB`, 'budget 500 MB')
line('unevenness of gaps (std ÷ mean, full lines)', r.unevenness.toFixed(3), 'budget 0.10')
line('gaps over 1.6 × the median', `${(r.wide * 100).toFixed(2)} %`, 'budget 0.1 %')
line('widows, orphans; heads at the foot', `${r.unmet.widows}; ${r.unmet.strandedHeads}`, 'budget 0; 0')
line(
  'uneven pages; hyphens at a recto’s foot',
  `${r.unmet.unevenSpreads}; ${r.unmet.hyphensAtRectoFoot}`,
  'budget 0 uneven',
)
const ratio = key => long[key] / best(key) / (long.words / r.words)
console.log(
  `\n${long.words} words: read ${long.readMs.toFixed(0)} ms, set ${long.setMs.toFixed(0)} ms, PDF ${long.pdfMs.toFixed(0)} ms, EPUB ${long.epubMs.toFixed(0)} ms, memory ${long.memoryMb.toFixed(0)} MB`,
)
console.log(
  `time a word against the shorter book: read ${ratio('readMs').toFixed(2)}, set ${ratio('setMs').toFixed(2)}, PDF ${ratio('pdfMs').toFixed(2)}, EPUB ${ratio('epubMs').toFixed(2)} (1 is linear)`,
)
const manuscript = await bundle('scripts/bench-manuscript.ts', 'bench-manuscript')
const manuscriptFile = join(root, '.cache/bench-manuscript/long.docx')
writeFileSync(manuscriptFile, spawnSync(process.execPath, [manuscript, '100000'], { maxBuffer: 1 << 28 }).stdout)
const intake = await bundle('scripts/bench-intake.ts', 'bench-intake')
const intakes = spawnSync(process.execPath, [intake, manuscriptFile], { cwd: root, encoding: 'utf8' })
if (intakes.status !== 0) throw new Error(intakes.stderr)
console.log('')
for (const i of intakes.stdout.trim().split('\n').map(JSON.parse))
  line(
    `${i.words} words brought in from .${i.kind}`,
    `${i.ms.toFixed(0)} ms`,
    `budget ${i.budgetMs} ms (the first ${i.first.toFixed(0)})`,
  )
const marketEntry = await bundle('scripts/bench-market.ts', 'bench-market')
const market = JSON.parse(spawnSync(process.execPath, [marketEntry], { cwd: root, encoding: 'utf8' }).stdout)
console.log('')
line('marketplace of 50,000 titles, made', `${market.made.toFixed(0)} ms`, 'budget 1000 ms')
line('… the slowest of its first 30 answers', `${market.slowest.toFixed(1)} ms`, 'budget 50 ms')
const commaEntry = await bundle('scripts/bench-comma.ts', 'bench-comma')
const comma = JSON.parse(spawnSync(process.execPath, [commaEntry, '100000'], { cwd: root, encoding: 'utf8' }).stdout)
line('a comma, all of print and ebook anew', `${comma.ms.toFixed(0)} ms`, '')
line('… nodes computed anew', String(comma.anew.length), comma.anew.join(', '))
line('… nodes that stay as they are', String(comma.still.length), comma.still.join(', '))
for (const part of ['cover', 'find', 'proof', 'review']) {
  const entry = await bundle(`scripts/bench-${part}.ts`, `bench-${part}`)
  const measured = spawnSync(process.execPath, [entry], { cwd: root, encoding: 'utf8' })
  if (measured.status !== 0) throw new Error(measured.stderr)
  console.log('')
  for (const m of measured.stdout.trim().split('\n').map(JSON.parse))
    line(m.says, `${m.ms.toFixed(0)} ms`, `budget ${m.budgetMs} ms`)
}
const puzzlesEntry = await bundle('scripts/bench-puzzles.ts', 'bench-puzzles')
const puzzles = spawnSync(process.execPath, [puzzlesEntry], { cwd: root, encoding: 'utf8' })
if (puzzles.status !== 0) throw new Error(puzzles.stderr)
const paced = pace()
const plannedEntry = await bundle('scripts/bench-planned.ts', 'bench-planned')
console.log('')
for (const book of ['activity', 'medley', 'days', 'five']) {
  const planned = spawnSync(process.execPath, [plannedEntry, book], { cwd: root, encoding: 'utf8' })
  if (planned.status !== 0) throw new Error(planned.stderr)
  const p = JSON.parse(planned.stdout)
  line(`${p.says}: ${p.pages} pages`, `${p.ms.toFixed(0)} ms`, `budget ${p.budgetMs} ms`)
  line('… to PDF', `${p.pdfMs.toFixed(0)} ms`, `budget ${p.pdfBudgetMs} ms, ${(p.pdfBytes / 1e6).toFixed(2)} MB`)
  line('… memory, whole process', `${p.memoryMb.toFixed(0)} MB`, 'budget 400 MB')
}
console.log('')
for (const p of puzzles.stdout.trim().split('\n').map(JSON.parse))
  line(
    `${p.count} × ${p.name}, proven`,
    `${p.ms.toFixed(0)} ms`,
    `budget ${p.budgetMs} ms (${(p.ms / paced).toFixed(1)} × the machine’s pace)`,
  )
