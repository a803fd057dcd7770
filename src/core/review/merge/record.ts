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

/** How deep values are told apart: a cover or a plan is one thing, each value of an edition one of its own. */
const DEPTHS: Record<string, number> = { data: 2, editions: 3, listings: 2 }
const deepest = ([root]: readonly string[]): number => (root === undefined ? 1 : (DEPTHS[root] ?? 1))

/** What differs between two states of a book’s record, against a third: each value by itself, lists and what is deeper as a whole. */
export function recordChanges(sent: Book, back: Book, now: Book): RecordChange[] {
  const out: RecordChange[] = []
  const walk = (was: unknown, theirs: unknown, yours: unknown, path: readonly string[]): void => {
    const [a, b, c] = [was, theirs, yours].map(v => JSON.stringify(v) ?? '')
    if (a === b || b === c) return
    if (path.length < deepest(path) && isPlain(theirs) && isPlain(yours) && (was === undefined || isPlain(was))) {
      for (const k of new Set([...Object.keys((was ?? {}) as Plain), ...Object.keys(theirs)]))
        if (path.length || !passed.has(k)) walk((was as Plain | undefined)?.[k], theirs[k], yours[k], [...path, k])
      return
    }
    const listed = path.length === 1 && path[0] === 'editions' && [was, theirs, yours].every(Array.isArray)
    if (listed) return editions(was as Plain[], theirs as Plain[], yours as Plain[], walk)
    const [before, after] = [inWords(yours, 'as you have it'), inWords(theirs, 'as it came back')]
    out.push({
      key: `record/${path.join('/')}/${hashOf(strToU8(b!)).slice(0, 12)}`,
      ...{ path, theirs, about: aboutOf(path, now) },
      parts: [
        ...(before ? [{ is: 'gone' as const, text: before }] : []),
        ...(after ? [{ is: 'new' as const, text: after }] : []),
      ],
      ...(a !== c && { clash: { sent: inWords(was, 'as it went out'), theirs: after, yours: before } }),
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

/** A value in a few words; what is no word or number is told by whose it is. */
function inWords(v: unknown, whose: string): string {
  if (v === undefined) return ''
  if (typeof v === 'object') return whose
  const text = String(v as string | number | boolean)
  return text.length > MOST ? `${text.slice(0, MOST)} …` : text
}

const names: Record<string, string> = {
  contributors: 'who made it',
  isbn: 'ISBN',
  trim: 'trim size',
  styleChanges: 'changes of its style',
  plan: 'planned pages',
  coverDrafts: 'other covers',
  styles: 'styles of its own',
  words: 'phrases',
  earlier: 'the book it was begun from',
}
const named = (key: string): string => names[key] ?? key

/** What a value is, in words: “prices of the paperback”. */
function aboutOf([root, id, ...rest]: readonly string[], { editions }: Book): string {
  if (root === 'editions')
    return [...rest.toReversed().map(named), `the ${editions.find(e => e.id === id)?.kind ?? 'edition'}`].join(' of ')
  if (root === 'listings') return `listing ${id}`
  return [id, root === 'data' ? undefined : root].flatMap(k => (k === undefined ? [] : [named(k)])).join(' of ')
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
