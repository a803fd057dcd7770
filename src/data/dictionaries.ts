import { hashOf } from '@/core/book'
import type { KeptDictionary } from '@/core/proof'
import { openProof } from '@/workers/proofClient'
import { blobBytes, putBlobs } from './blobs'
import { keptList } from './keptList'
import { fitting } from './room'
import { guarded } from './trouble'

const kept = keptList<KeptDictionary>('dictionaries', 'dictionary')

/** Dictionaries that the author brought in. */
export const keptDictionaries = kept.all

/** What a file picker offers as a dictionary. */
export const dictionaryTypes = '.aff,.dic,.oxt,.zip,.txt'

const idOf = (language: string): string => language.toLowerCase()

/** The author's own dictionary of a language. */
export const ownDictionary = async (language: string): Promise<KeptDictionary | undefined> =>
  (await kept.all()).find(d => d.id === idOf(language))

/** Its two texts; the first is empty where it is a bare list. Throws where they are not in the library. */
export async function dictionaryTexts({
  name,
  aff,
  dic,
}: Pick<KeptDictionary, 'name' | 'aff' | 'dic'>): Promise<{ aff: string; dic: string }> {
  const text = async (hash: string): Promise<string> => {
    const bytes = await blobBytes(hash)
    if (!bytes) throw new Error(`Your dictionary “${name}” is not whole any more: bring it in again.`)
    return new TextDecoder().decode(bytes)
  }
  return { aff: aff ? await text(aff) : '', dic: await text(dic) }
}

/** Brings a dictionary in for a language, in the place of one that was there; gives it. Throws with the reason where the files are none. */
export async function bringInDictionary(language: string, files: readonly File[]): Promise<KeptDictionary> {
  const reader = openProof()
  try {
    const chosen = await Promise.all(
      files.map(async f => ({ name: f.name, bytes: new Uint8Array(await f.arrayBuffer()) })),
    )
    const { name, aff, dic, words } = await reader.dictionaryIn(chosen, language)
    const texts = [aff, dic].filter(Boolean).map(t => new TextEncoder().encode(t))
    const bytes = texts.reduce((n, t) => n + t.length, 0)
    const hashes = texts.map(hashOf)
    await fitting(`“${name}”`, bytes, () =>
      guarded(() => putBlobs(texts.map((t, i) => [hashes[i]!, t] as [string, Uint8Array]))),
    )
    const own: KeptDictionary = {
      id: idOf(language),
      name,
      dic: hashes.at(-1)!,
      words,
      bytes,
      ...(aff && { aff: hashes[0]! }),
    }
    await kept.change(all => [...all.filter(d => d?.id !== own.id), own])
    return own
  } finally {
    reader.close()
  }
}

/** Puts the author's dictionary of a language away. */
export const forgetDictionary = (language: string): Promise<void> =>
  kept.change(all => all.filter(d => d?.id !== idOf(language)))
