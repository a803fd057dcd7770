import { strToU8 } from 'fflate'
import { type Book, hashOf } from '@/core/book'
import type { Part } from '@/core/compare'

/** Something that a book says of itself beside its text, changed by others. */
export interface RecordChange {
  key: string
  path: readonly string[]
  about: string
  parts: readonly Part[]
  theirs: unknown
  clash?: { sent: string; theirs: string; yours: string }
}

type Plain = Record<string, unknown>
const isPlain = (v: unknown): v is Plain => !!v && typeof v === 'object' && !Array.isArray(v)

/** What is the book’s own and no change of it: its names, its counter, its text, its pictures, what it was given out for. */
const passed = new Set([
  'id',
  'uid',
  'lastId',
  'sections',
  'assets',
  'recordings',
  'fonts',
  'rounds',
  'review',
  'proof',
])

/** Values that are taken as a whole, however deep they are. */
const DEEPEST = 3

/** What differs between two states of a book’s record, against a third: each value by itself, lists and what is deeper as a whole. */
export function recordChanges(sent: Book, back: Book, now: Book): RecordChange[] {
  const out: RecordChange[] = []
  const walk = (was: unknown, theirs: unknown, yours: unknown, path: readonly string[]): void => {
    const [a, b, c] = [was, theirs, yours].map(v => JSON.stringify(v) ?? '')
    if (a === b || b === c) return
    if (path.length < DEEPEST && isPlain(theirs) && isPlain(yours) && (was === undefined || isPlain(was))) {
      for (const k of new Set([...Object.keys((was ?? {}) as Plain), ...Object.keys(theirs)]))
        if (path.length || !passed.has(k)) walk((was as Plain | undefined)?.[k], theirs[k], yours[k], [...path, k])
      return
    }
    const listed = path.length === 1 && path[0] === 'editions' && [was, theirs, yours].every(Array.isArray)
    if (listed) return editions(was as Plain[], theirs as Plain[], yours as Plain[], walk)
    const [before, after] = [inWords(yours), inWords(theirs)]
    out.push({
      key: `record/${path.join('/')}/${hashOf(strToU8(b!)).slice(0, 12)}`,
      ...{ path, theirs, about: path.join(', ') },
      parts: [
        ...(before ? [{ is: 'gone' as const, text: before }] : []),
        ...(after ? [{ is: 'new' as const, text: after }] : []),
      ],
      ...(a !== c && { clash: { sent: inWords(was), theirs: after, yours: before } }),
    })
  }
  walk(bareRecord(sent), bareRecord(back), bareRecord(now), [])
  return out
}

const bareRecord = (book: Book): Plain => Object.fromEntries(Object.entries(book).filter(([k]) => !passed.has(k)))

/** Editions are told apart by their ids. */
function editions(
  was: readonly Plain[],
  theirs: readonly Plain[],
  yours: readonly Plain[],
  walk: (was: unknown, theirs: unknown, yours: unknown, path: readonly string[]) => void,
): void {
  const named = (all: readonly Plain[], id: unknown): Plain | undefined => all.find(e => e.id === id)
  for (const id of new Set([...was, ...theirs].map(e => e.id)))
    walk(named(was, id), named(theirs, id), named(yours, id), ['editions', String(id)])
}

const MOST = 120

/** A value in a few words. */
function inWords(v: unknown): string {
  if (v === undefined) return ''
  const text = typeof v === 'string' ? v : JSON.stringify(v)
  return text.length > MOST ? `${text.slice(0, MOST)} …` : text
}

/** The record with a value as others have it. */
export function withRecordChange(book: Book, { path, theirs }: RecordChange): Book {
  const put = (value: unknown, [key, ...rest]: readonly string[]): unknown => {
    if (key === undefined) return theirs
    if (Array.isArray(value)) {
      const at = value.findIndex(x => (x as Plain).id === key)
      const next = put(value[at], rest)
      if (at < 0) return next === undefined ? value : [...(value as unknown[]), next]
      return next === undefined ? value.filter((_, i) => i !== at) : value.map((x: unknown, i) => (i === at ? next : x))
    }
    const { [key]: old, ...others } = (value ?? {}) as Plain
    const next = put(old, rest)
    return next === undefined ? others : { ...others, [key]: next }
  }
  return put(book, path) as Book
}
