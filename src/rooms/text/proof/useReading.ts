'use client'
import { useDeferredValue, useEffect, useMemo, useRef, useState } from 'react'
import type { Book, KeptProof } from '@/core/book'
import { dataWords, type Doubt, type KeptDictionary, proofKinds, type ProofAsk, steadyDoubts } from '@/core/proof'
import { toldForAll } from '@/data/proof'
import { usePreferences } from '@/parts/preferences'
import { oneAtATime } from '@/parts/oneAtATime'
import { useLatest } from '@/parts/useLatest'
import { openProof, type ProofClient } from '@/workers/proofClient'
import { useOwnDictionary } from './useOwnDictionary'

/** More doubts than these are read anew when nothing was written for so many milliseconds. */
const MANY = 1000
const REST = 300

const NONE: readonly never[] = []

export const NOTHING_TOLD: KeptProof = { words: [], left: [] }

/** What the proof-reader found in a book, as it is now or was a moment ago. */
export interface Read {
  doubts: readonly Doubt[]
  /** Names that the book was found to have. */
  learnt: readonly string[]
  /** What it was told for all books in the language. */
  all: KeptProof
  kinds: readonly string[]
  /** The author's own dictionary of the language. */
  own: KeptDictionary | undefined
  /** Whether it is read for the first time. */
  reading: boolean
  trouble: string | undefined
  /** Something was told for all books. */
  toldAll: () => Promise<void>
  /** What a word that is in no list may have been meant as. */
  meant: (word: string) => Promise<readonly string[]>
}

/** Has a worker read a book while that is on, again after each change. */
export function useReading(book: Book, on: boolean): Read {
  const client = useRef<ProofClient>(undefined)
  const { off } = usePreferences().proof
  const [found, setFound] = useState<Pick<Read, 'doubts' | 'learnt'>>()
  const [trouble, setTrouble] = useState<string>()
  const [all, setAll] = useState(NOTHING_TOLD)
  // The next key waits for nothing here.
  const text = useDeferredValue(book)
  const { data } = text
  const { language } = data
  useEffect(() => {
    if (on) void toldForAll(language).then(setAll, (e: Error) => setTrouble(e.message))
  }, [on, language])
  const own = text.proof ?? NOTHING_TOLD
  const asked = useMemo(
    (): ProofAsk => ({
      language,
      kinds: proofKinds.map(k => k.id).filter(id => !off.includes(id)),
      words: [...dataWords(data), ...own.words, ...all.words],
      left: [...own.left, ...all.left],
    }),
    [language, data, off, own, all],
  )
  const dictionary = useOwnDictionary(language, on)
  const many = useRef(false)
  const readOnce = useLatest(async (reader: ProofClient): Promise<void> => {
    try {
      reader.use(dictionary.texts)
      const sections = text.sections.filter(s => !s.made)
      const proof = await reader.read(
        sections.map(({ id, title, doc }) => ({ id, doc, ...(title ? { title } : {}) })),
        asked,
      )
      if (reader !== client.current) return
      many.current = proof.doubts.length > MANY
      setTrouble(proof.trouble)
      setFound(f => steadyFound(f, proof))
    } catch (e) {
      if (reader === client.current) setTrouble((e as Error).message)
    }
  })
  const read = useRef((): void => undefined)
  useEffect(() => {
    if (!on) return
    const reader = (client.current = openProof())
    read.current = oneAtATime(() => readOnce(reader))
    return () => {
      client.current?.close()
      client.current = undefined
    }
  }, [on, readOnce])
  useEffect(() => {
    if (!on || !dictionary.ready) return
    // So many doubts take their time to come over: they are asked for when the writing rests.
    if (many.current) {
      const waits = setTimeout(read.current, REST)
      return () => clearTimeout(waits)
    }
    read.current()
  }, [on, text, asked, dictionary.ready, dictionary.texts])
  return {
    doubts: found?.doubts ?? NONE,
    learnt: found?.learnt ?? NONE,
    all,
    kinds: asked.kinds,
    own: dictionary.kept,
    reading: on && !found && !trouble,
    trouble: trouble ?? dictionary.trouble,
    toldAll: () => toldForAll(language).then(setAll),
    meant: word => client.current?.meant(language, word.replaceAll('’', "'")) ?? Promise.resolve([]),
  }
}

/** What was found, the same where it says the same: most keys change no doubt, and nothing is drawn anew for them. */
function steadyFound(
  was: Pick<Read, 'doubts' | 'learnt'> | undefined,
  { doubts, learnt }: Pick<Read, 'doubts' | 'learnt'>,
): Pick<Read, 'doubts' | 'learnt'> {
  if (!was) return { doubts, learnt }
  const now = steadyDoubts(was.doubts, doubts)
  const known = was.learnt.length === learnt.length && learnt.every((n, i) => n === was.learnt[i])
  return now === was.doubts && known ? was : { doubts: now, learnt: known ? was.learnt : learnt }
}
