import * as Comlink from 'comlink'
import nspell from 'nspell'
import { createProofreader, dictionaryOf, likeliest, type Proof, type ProofAsk, type ReadSection } from '@/core/proof'
import './faults'

/** Reads books for doubts, a book at a time; dictionaries are read when they are first wanted. Nothing leaves it but its answers. */

/** A section as it is sent: without its text where that is known already. */
export type SentSection = Omit<ReadSection, 'doc'> & Partial<Pick<ReadSection, 'doc'>>

/** A book's proof, and what was in the way of a part of it. */
export interface ProofRead extends Proof {
  trouble?: string
}

type Dictionary = ReturnType<typeof nspell>

const reader = createProofreader()
let sections = new Map<string, ReadSection>()
let dictionary: { name: string; read: Promise<Dictionary> } | undefined
/** What the dictionary said of words. */
const verdicts = new Map<string, boolean>()

/** Kept while it is asked for: a second language takes the place of the first. */
function dictionaryNamed(name: string): Promise<Dictionary> {
  if (dictionary?.name === name) return dictionary.read
  verdicts.clear()
  const read = Promise.all([file(`${name}.aff`), file(`${name}.dic`)]).then(([aff, dic]) => nspell(aff, dic))
  // One that could not be read is tried again when it is next asked for.
  read.catch(() => {
    if (dictionary?.read === read) dictionary = undefined
  })
  dictionary = { name, read }
  return read
}

async function file(name: string): Promise<string> {
  const response = await fetch(`/dictionaries/${name}`).catch(() => undefined)
  if (!response)
    throw new Error('The dictionary is not on this machine yet, and there is no network: words are not looked up.')
  if (!response.ok) throw new Error(`The dictionary could not be read (${response.status}): words are not looked up.`)
  return response.text()
}

const spellerOf = (known: Dictionary) => ({
  right(word: string): boolean {
    let is = verdicts.get(word)
    if (is === undefined) verdicts.set(word, (is = known.correct(word)))
    return is
  },
})

const api = {
  /** The book's doubts. Sections that come without their text are as they were. */
  async read(sent: readonly SentSection[], ask: ProofAsk): Promise<ProofRead> {
    const now = sent.map(({ id, title, doc }): ReadSection => {
      const was = sections.get(id)
      if (was && (doc === undefined || doc === was.doc) && was.title === title) return was
      const is = doc ?? was?.doc
      if (!is) throw new Error(`The text of section ${id} did not come.`)
      return { id, doc: is, ...(title === undefined ? {} : { title }) }
    })
    sections = new Map(now.map(s => [s.id, s]))
    reader.take(now)
    const found = ask.kinds.includes('spelling') ? dictionaryOf(ask.language) : { why: '' }
    if (!('name' in found)) return reader.doubts(ask)
    // Without its dictionary a book is read all the same for every other kind.
    const known = await dictionaryNamed(found.name).catch((e: Error) => e.message)
    return typeof known === 'string' ? { ...reader.doubts(ask), trouble: known } : reader.doubts(ask, spellerOf(known))
  },

  /** What a word may have been meant as, the likeliest first. */
  async meant(language: string, word: string): Promise<string[]> {
    const found = dictionaryOf(language)
    if (!('name' in found)) return []
    const known = await dictionaryNamed(found.name)
    return likeliest(word, known.suggest(word), reader.count).map(w => w.replaceAll("'", '’'))
  },
}

export type ProofWorker = typeof api

Comlink.expose(api)
