'use client'
import { useDeferredValue, useEffect, useMemo, useRef, useState } from 'react'
import type { Book, KeptProof } from '@/core/book'
import { dataWords, type Doubt, type KeptDictionary, proofKinds, type ProofAsk } from '@/core/proof'
import { toldForAll } from '@/data/proof'
import { usePreferences } from '@/parts/preferences'
import { useLatest } from '@/parts/useLatest'
import { openProof, type ProofClient } from '@/workers/proofClient'
import { useOwnDictionary } from './useOwnDictionary'

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
  /** Whether it is of the book as it was. */
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
  const [found, setFound] = useState<{ doubts: readonly Doubt[]; learnt: readonly string[]; of?: Book }>({
    doubts: [],
    learnt: [],
  })
  const [trouble, setTrouble] = useState<string>()
  const [all, setAll] = useState(NOTHING_TOLD)
  // The next key waits for nothing here.
  const text = useDeferredValue(book)
  const { data } = text
  const { language } = data
  useEffect(() => {
    if (on) void toldForAll(language).then(setAll, (e: Error) => setTrouble(e.message))
  }, [on, language])
  useEffect(() => {
    if (!on) return
    client.current = openProof()
    return () => {
      client.current?.close()
      client.current = undefined
    }
  }, [on])
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
  const read = useLatest((): void => {
    const reader = client.current
    reader?.use(dictionary.texts)
    const sections = text.sections.filter(s => !s.made)
    reader
      ?.read(
        sections.map(({ id, title, doc }) => ({ id, doc, ...(title ? { title } : {}) })),
        asked,
      )
      .then(
        proof => {
          if (reader !== client.current) return
          setTrouble(proof.trouble)
          setFound({ ...proof, of: text })
        },
        (e: Error) => reader === client.current && setTrouble(e.message),
      )
  })
  useEffect(() => {
    if (on && dictionary.ready) read()
  }, [on, read, text, asked, dictionary.ready, dictionary.texts])
  return {
    doubts: found.doubts,
    learnt: found.learnt,
    all,
    kinds: asked.kinds,
    own: dictionary.kept,
    reading: on && found.of !== text && !trouble,
    trouble: trouble ?? dictionary.trouble,
    toldAll: () => toldForAll(language).then(setAll),
    meant: word => client.current?.meant(language, word.replaceAll('’', "'")) ?? Promise.resolve([]),
  }
}
