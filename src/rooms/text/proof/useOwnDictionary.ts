'use client'
import { useLiveQuery } from 'dexie-react-hooks'
import { useEffect, useState } from 'react'
import type { KeptDictionary } from '@/core/proof'
import { dictionaryTexts, ownDictionary } from '@/data/dictionaries'
import type { OwnTexts } from '@/workers/proof.worker'

/** The author's own dictionary of a language, as far as it is read. */
export interface OwnDictionary {
  kept?: KeptDictionary
  texts?: OwnTexts
  /** Whether it is known what there is. */
  ready: boolean
  trouble?: string
}

const nameOf = ({ aff, dic }: KeptDictionary): string => `own ${aff} ${dic}`

/** Finds the author's own dictionary of a language and reads it, while that is on. */
export function useOwnDictionary(language: string, on: boolean): OwnDictionary {
  const found = useLiveQuery(async () => ({ language, kept: await ownDictionary(language) }), [language])
  const [read, setRead] = useState<{ name: string; texts?: OwnTexts; trouble?: string }>()
  const known = found?.language === language
  const kept = known ? found.kept : undefined
  const name = kept && nameOf(kept)
  useEffect(() => {
    if (!on || !kept) return
    let stands = true
    const of = nameOf(kept)
    dictionaryTexts(kept).then(
      texts => stands && setRead({ name: of, texts: { language, name: of, ...texts } }),
      (e: Error) => stands && setRead({ name: of, trouble: e.message }),
    )
    return () => {
      stands = false
    }
    // A record that says the same is another object each time.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [on, language, name])
  if (!kept) return { ready: known }
  return read && read.name === name
    ? { kept, ready: true, ...(read.texts && { texts: read.texts }), ...(read.trouble && { trouble: read.trouble }) }
    : { kept, ready: false }
}
