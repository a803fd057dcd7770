'use client'
import { useRef, useState } from 'react'
import type { KeptDictionary } from '@/core/proof'
import { bringInDictionary, dictionaryTypes, forgetDictionary } from '@/data/dictionaries'
import { ActValue } from '@/parts/ActValue'
import { FilePick, type FilePicker } from '@/parts/FilePick'
import { languageName } from '@/parts/languages'
import { useSay } from '@/parts/useSay'

/** In what words are looked up: the dictionary that ships, the author's own, or none and why; and how one is brought in. */
export function DictionarySentence({
  language,
  own,
  lacking,
}: {
  /** BCP 47. */
  language: string
  own: KeptDictionary | undefined
  /** Why none ships. */
  lacking: string | undefined
}) {
  const picker = useRef<FilePicker>(null)
  const [reading, setReading] = useState(false)
  const say = useSay()
  const name = languageName(language)
  const take = async (files: File[]): Promise<void> => {
    setReading(true)
    try {
      const { name, words } = await bringInDictionary(language, files)
      say.done(`“${name}” is your dictionary now: ${counted(words)}.`)
    } catch (e) {
      say.failed(e)
    } finally {
      setReading(false)
    }
  }
  const bring = (words: string) => <ActValue words={words} onAct={() => picker.current?.open()} />
  return (
    <p className="dictionary">
      {reading ? (
        'Reading the dictionary …'
      ) : own ? (
        <>
          Words are looked up in <b>{own.name}</b>, {counted(own.words)} that you brought in
          {own.aff ? '' : ' as a list, without their forms'}: {bring('another')} ·{' '}
          <ActValue words="put it away" onAct={() => void forgetDictionary(language).catch(say.failed)} />.
        </>
      ) : lacking ? (
        <>
          Words are not looked up in {name}: {lacking}. {bring('Bring one in')}: the two files of a spelling dictionary
          (.aff and .dic), an archive that holds them (.oxt), or a list with a word in each line.
        </>
      ) : (
        <>
          Words are looked up in the {name} dictionary that ships; {bring('bring in your own')}.
        </>
      )}
      <FilePick
        ref={picker}
        label="Files of a dictionary"
        accept={dictionaryTypes}
        multiple
        onPick={f => void take(f)}
      />
    </p>
  )
}

const counted = (words: number): string => `${words.toLocaleString('en')} ${words === 1 ? 'word' : 'words'}`
