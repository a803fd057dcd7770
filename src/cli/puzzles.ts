import { parseArgs } from 'node:util'
import { makePuzzles, type PuzzleControl, type PuzzleKind, puzzleKind, puzzleKinds } from '@/core/puzzles'
import { Fault } from '@/core/trade'
import { readWordTable } from '@/core/words'
import { readFileSync } from 'node:fs'
import { readFile } from 'node:fs/promises'
import { whole } from './whole'

const MOST = 100_000

/** `press puzzles KIND …`: with `--words FILE` of the words in it; with `--json` puzzles and their answers, one object a line (docs/formats.md); without, how hard each is. */
export async function runPuzzles(args: string[]): Promise<void> {
  const { values, positionals } = parseArgs({
    args,
    allowPositionals: true,
    options: {
      count: { type: 'string' },
      seed: { type: 'string' },
      set: { type: 'string', multiple: true },
      words: { type: 'string' },
      json: { type: 'boolean' },
    },
  })
  const kind = puzzleKind(positionals[0] ?? '')
  if (!kind)
    throw new Fault(
      'kind',
      `${positionals[0] ? `There is no kind of puzzle called “${positionals[0].slice(0, 40)}”` : 'Say which kind of puzzle'}: ${puzzleKinds.map(k => k.id).join(', ')}.`,
    )
  const count = whole(values.count ?? '1', 'puzzles', 1, MOST)
  const seed = whole(values.seed ?? '1', 'seed', 0, 2 ** 32 - 1)
  const params = { ...valuesOf(kind, values.set ?? []), ...(values.words && (await wordsOf(kind, values.words))) }
  const work = await kind.work()
  for (const { puzzle, difficulty, seed: own } of await makePuzzles(kind, params, { seed, count })) {
    const steps = Object.entries(difficulty.steps).map(([name, n]) => `${name} ${n}`)
    process.stdout.write(
      values.json
        ? `${JSON.stringify({ kind: kind.id, seed: own, difficulty, ...work.record(puzzle) })}\n`
        : `${kind.name}, ${difficulty.band}: ${steps.join(', ')}\n`,
    )
  }
}

/** The kind's values as it begins, with those that are said as `key=value`. */
function valuesOf(kind: PuzzleKind, said: string[]): object {
  const controls = kind.controls as Record<string, PuzzleControl>
  const params: Record<string, unknown> = { ...kind.plain }
  for (const text of said) {
    const [, key, value] = /^([^=]+)=(.*)$/s.exec(text) ?? []
    if (key === undefined || !Object.hasOwn(controls, key))
      throw new Fault(
        'set',
        `“${text.slice(0, 40)}” sets nothing: ${kind.name} has ${Object.keys(controls).join(' and ')}, as in --set ${Object.keys(controls)[0]}=…`,
      )
    params[key] = valueOf(key, controls[key]!, value!)
  }
  return params
}

/** The lists of a file, as the value of the kind that wants words. */
async function wordsOf(kind: PuzzleKind, file: string): Promise<object> {
  const [key] = Object.entries(kind.controls as Record<string, PuzzleControl>).find(([, c]) => c.as === 'words') ?? []
  if (!key) throw new Fault('words', `${kind.name} is made of no words.`)
  const text = await readFile(file, 'utf8')
  const { left } = readWordTable(text, 'Words')
  for (const { line, words, why } of left) process.stderr.write(`Line ${line}, “${words}”: ${why}; left out.\n`)
  return { [key]: { bank: '', text } }
}

function valueOf(key: string, control: PuzzleControl, said: string): unknown {
  if (control.as === 'words')
    // Sayings of one's own come from a file; there is one bank of them.
    return control.sayings && said !== 'sayings'
      ? { bank: '', text: readFileSync(said, 'utf8') }
      : { bank: said, text: '' }
  if (control.as === 'count') return whole(said, key, control.least, control.most)
  if (control.as === 'shape') return shapeIn(said)
  const choices = control.choices.map(c => c.value)
  if (!choices.includes(said))
    throw new Fault('set', `“${key}” cannot be “${said.slice(0, 40)}”: it is ${choices.join(', ')}.`)
  return said
}

/** A shape of one's own, as a run keeps it: JSON in a file. Whether it is one is asked by the kind's schema. */
function shapeIn(file: string): unknown {
  try {
    return JSON.parse(readFileSync(file, 'utf8'))
  } catch {
    throw new Fault('set', `“${file.slice(0, 80)}” holds no shape: it wants the JSON of one, as a run keeps it.`)
  }
}
