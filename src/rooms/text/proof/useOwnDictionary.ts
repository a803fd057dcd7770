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

/** Finds the author's own dictionary of a language and reads it, while that is on. */
export function useOwnDictionary(language: string, on: boolean): OwnDictionary {
  const found = useLiveQuery(async () => ({ language, kept: await ownDictionary(language) }), [language])
  const [read, setRead] = useState<{ name: string; texts?: OwnTexts; trouble?: string }>()
  const known = found?.language === language
  const kept = known ? found.kept : undefined
  // A record that says the same is another object each time.
  const { name: file = '', aff = '', dic = '' } = kept ?? {}
  const name = `own ${language} ${aff} ${dic}`
  useEffect(() => {
    if (!on || !dic) return
    let stands = true
    dictionaryTexts({ name: file, dic, ...(aff && { aff }) }).then(
      texts => stands && setRead({ name, texts: { language, name, ...texts } }),
      (e: Error) => stands && setRead({ name, trouble: e.message }),
    )
    return () => {
      stands = false
    }
  }, [on, language, name, file, aff, dic])
  if (!kept) return { ready: known }
  return read && read.name === name
    ? { kept, ready: true, ...(read.texts && { texts: read.texts }), ...(read.trouble && { trouble: read.trouble }) }
    : { kept, ready: false }
}
