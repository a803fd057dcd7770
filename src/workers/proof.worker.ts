import * as Comlink from 'comlink'
import {
  createProofreader,
  type Dictionary,
  dictionaryOf,
  likeliest,
  type NamedBytes,
  openDictionary,
  type Proof,
  type ProofAsk,
  type ReadDictionary,
  readOwnDictionary,
  type ReadSection,
} from '@/core/proof'
import './faults'

/** Reads books for doubts, a book at a time; dictionaries are read when they are first wanted. Nothing leaves it but its answers. */

/** A section as it is sent: without its text where that is known already. */
export type SentSection = Omit<ReadSection, 'doc'> & Partial<Pick<ReadSection, 'doc'>>

/** A book's proof, and what was in the way of a part of it. */
export interface ProofRead extends Proof {
  trouble?: string
}

/** The author's own dictionary, and of which language it is. */
export interface OwnTexts {
  language: string
  /** Names it: the same name is the same dictionary. */
  name: string
  aff: string
  dic: string
}

const reader = createProofreader()
let sections = new Map<string, ReadSection>()
let own: OwnTexts | undefined
let dictionary: { name: string; read: Promise<Dictionary> } | undefined
/** What the dictionary said of words. */
const verdicts = new Map<string, boolean>()

/** The dictionary of a language: the author's own, or the one that ships. Kept while it is asked for: a second takes the place of the first. */
function dictionaryFor(language: string): Promise<Dictionary> | undefined {
  if (own?.language === language) {
    const { name, aff, dic } = own
    return opened(name, async () => openDictionary(aff, dic))
  }
  const found = dictionaryOf(language)
  if (!('name' in found)) return undefined
  const { name } = found
  return opened(name, () =>
    Promise.all([file(`${name}.aff`), file(`${name}.dic`)]).then(([aff, dic]) => openDictionary(aff, dic)),
  )
}

function opened(name: string, open: () => Promise<Dictionary>): Promise<Dictionary> {
  if (dictionary?.name === name) return dictionary.read
  verdicts.clear()
  const read = open()
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
    if (is === undefined) verdicts.set(word, (is = known.right(word)))
    return is
  },
})

const api = {
  /** The author's own dictionary from now on, or none. */
  use(texts: OwnTexts | undefined): void {
    own = texts
  },

  /** A dictionary out of files that were chosen; its words are looked through once. */
  dictionaryIn(files: readonly NamedBytes[], language: string): ReadDictionary {
    const read = readOwnDictionary(files, language)
    openDictionary(read.aff, read.dic)
    return read
  },

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
    const wanted = ask.kinds.includes('spelling') ? dictionaryFor(ask.language) : undefined
    if (!wanted) return reader.doubts(ask)
    // Without its dictionary a book is read all the same for every other kind.
    const known = await wanted.catch((e: Error) => e.message)
    return typeof known === 'string' ? { ...reader.doubts(ask), trouble: known } : reader.doubts(ask, spellerOf(known))
  },

  /** What a word may have been meant as, the likeliest first. */
  async meant(language: string, word: string): Promise<string[]> {
    const known = await dictionaryFor(language)
    if (!known) return []
    return likeliest(word, known.meant(word), reader.count).map(w => w.replaceAll("'", '’'))
  },
}

export type ProofWorker = typeof api

Comlink.expose(api)
