import { type Book, type DocJson, type Section, withOwnIds } from '../book'
import { kindOf } from '../activity'
import { shippedStyles } from '../pages'
import type { OutletProfile } from '../trade'
import { bookTroubles, type Trouble } from './bookSchema'
import { isSound, wordsOf } from './project'

/** What a book begins with where its own is missing or broken, by path (figures in brackets are any). */
const plain: [RegExp, (at: RegExpExecArray, book: unknown) => unknown][] = [
  [/^data\.title$/, () => 'Untitled'],
  [/^data\.language$/, () => 'en-GB'],
  [/^data\.imprint$/, () => ({ name: '' })],
  [/^data\.(contributors|subjects)$/, () => []],
  [/^data\.imprint\.name$/, () => ''],
  [/^data$/, () => ({ title: 'Untitled', contributors: [], language: 'en-GB', imprint: { name: '' }, subjects: [] })],
  [/^data\.contributors\[\d+\]\.role$/, () => 'aut'],
  [/^data\.contributors\[\d+\]\.name$/, () => ''],
  [/^data\.series\.name$/, () => ''],
  [/^(sections|editions|assets)$/, () => []],
  [/^lastId$/, () => 0],
  [/^sections\[\d+\]\.part$/, () => 'body'],
  [/^sections\[\d+\]\.role$/, () => 'chapter'],
  [/^sections\[\d+\]\.title$/, () => ''],
  [/^sections\[\d+\]\.(numbered|made)$/, () => false],
  [/^editions\[\d+\]\.style$/, () => shippedStyles[0]!.id],
  [/^editions\[\d+\]\.trim$/, () => '6x9in'],
  [/^editions\[\d+\]\.outlets$/, () => []],
  [/^editions\[\d+\]\.kind$/, () => 'paperback'],
  [/^plan\.runs\[\d+\]\.pages$/, () => 1],
  [/^plan\.runs\[\d+\]\.kind$/, () => 'blank'],
  [/^plan\.runs\[\d+\]\.seed$/, () => 1],
  // A run's values: as its kind begins.
  [/^plan\.runs\[(\d+)\]\.params(?:\.(\w+))?$/, ([, run, name], book) => plainParams(book as Book, Number(run), name)],
]

function plainParams(book: Book, run: number, name: string | undefined): unknown {
  const begins = structuredClone(kindOf(book.plan!.runs[run]!.kind)?.plain ?? {}) as Record<string, unknown>
  return name === undefined ? begins : begins[name]
}

type Json = Record<string, unknown> | unknown[]

const steps = (path: string): (string | number)[] =>
  [...path.matchAll(/\["((?:[^"\\]|\\.)*)"\]|\[(\d+)\]|([^.[\]]+)/g)].map(m =>
    m[2] !== undefined ? Number(m[2]) : (m[1] ?? m[3])!,
  )

/** Sets or takes away what stands at a path, in place. False where there is no such place. */
function put(root: Json, path: string, value: unknown): boolean {
  const way = steps(path)
  const last = way.pop()
  if (last === undefined) return false
  let at: unknown = root
  for (const s of way) at = at && typeof at === 'object' ? (at as Record<string | number, unknown>)[s] : undefined
  if (!at || typeof at !== 'object') return false
  if (value !== undefined) (at as Record<string | number, unknown>)[last] = value
  else if (Array.isArray(at)) at.splice(Number(last), 1)
  else delete (at as Record<string | number, unknown>)[last]
  return true
}

/** Each thing that was mended, and what became of it. */
export interface Mended {
  book: Book
  mended: Trouble[]
}

/** How often a record is looked over: each round mends what the last one brought to light. */
const ROUNDS = 400

/**
 * A book that is in order, from one that is not: what is wrong becomes what a new book begins with, or is taken away; text that is
 * no document keeps its words as plain paragraphs. Undefined where there is nothing of a book to be found. Pure.
 */
export function mendedBook(raw: unknown, known: readonly OutletProfile[]): Mended | undefined {
  if (!raw || typeof raw !== 'object' || Array.isArray(raw)) return undefined
  const book = structuredClone(raw) as Record<string, unknown>
  const mended: Trouble[] = []
  if (Array.isArray(book.sections))
    book.sections = book.sections
      .filter((s): s is Section => !!s && typeof s === 'object')
      .map(s => {
        if (isSound(s.doc)) return s
        mended.push({
          place: s.id,
          sentence: `The text of “${String(s.title || s.id)}” is not in order: its words are kept as plain paragraphs.`,
        })
        return { ...s, doc: wordsOf(JSON.stringify(s.doc ?? {})) as DocJson }
      })
  const tried = new Map<string, number>()
  for (let round = 0; round < ROUNDS; round++) {
    const trouble = bookTroubles(book, known)[0]
    if (!trouble) return { book: withOwnIds(book as unknown as Book), mended }
    mended.push(trouble)
    const said = /has “([^”]+)”/.exec(trouble.sentence)?.[1]
    let place = trouble.place
    // An unknown key is taken away by itself; the record around it stays.
    if (said && /nothing it may have|which is n/.test(trouble.sentence)) {
      const keys = said.split(', ')
      const at = place ? get(book, place) : book
      let any = false
      for (const k of keys)
        if (at && typeof at === 'object' && Object.hasOwn(at, k)) any = delete (at as Record<string, unknown>)[k] || any
      if (any) continue
    }
    const often = (tried.get(place) ?? 0) + 1
    tried.set(place, often)
    const [form, begin] = plain.find(([f]) => f.test(place)) ?? []
    // What a default does not mend is taken away, and then what holds it.
    if (often === 1 && form && begin) put(book, place, begin(form.exec(place)!, book))
    else {
      for (let up = Math.max(0, often - 2); up > 0 && place; up--) place = place.replace(/(\.[^.[\]]+|\[[^\]]*\])$/, '')
      if (!place || place === 'id' || !put(book, place, undefined)) return undefined
    }
  }
  return undefined
}

function get(root: Json, path: string): unknown {
  let at: unknown = root
  for (const s of steps(path))
    at = at && typeof at === 'object' ? (at as Record<string | number, unknown>)[s] : undefined
  return at
}
