import * as Comlink from 'comlink'
import type { DocJson } from '@/core/book'
import type { NamedBytes, ProofAsk, ReadDictionary, ReadSection } from '@/core/proof'
import './faults'
import type { OwnTexts, ProofRead, ProofWorker, SentSection } from './proof.worker'

/** A worker that reads one book, until it is let go. */
export interface ProofClient {
  /** The book's doubts as it is now; only what has changed since the last time is sent. */
  read(sections: readonly ReadSection[], ask: ProofAsk): Promise<ProofRead>
  /** The author’s own dictionary from now on, or none; sent once. */
  use(own: OwnTexts | undefined): void
  /** A dictionary out of files that were chosen. Throws with the reason where they are none. */
  dictionaryIn(files: readonly NamedBytes[], language: string): Promise<ReadDictionary>
  /** What a word may have been meant as. */
  meant(language: string, word: string): Promise<string[]>
  close(): void
}

export function openProof(): ProofClient {
  const worker = new Worker(new URL('./proof.worker.ts', import.meta.url), { type: 'module', name: 'proof' })
  const api = Comlink.wrap<ProofWorker>(worker)
  let used: string | undefined
  let sent = new Map<string, DocJson>()
  return {
    read(sections, ask) {
      const now = sections.map(({ doc, ...s }): SentSection => (sent.get(s.id) === doc ? s : { ...s, doc }))
      sent = new Map(sections.map(s => [s.id, s.doc]))
      return new Promise((resolve, reject) => {
        worker.onerror = () => reject(new Error('The proof-reading broke down.'))
        api.read(now, ask).then(resolve, e => {
          // What has come is not known any more: all of it is sent the next time.
          sent = new Map()
          reject(e)
        })
      })
    },
    use(own) {
      if (own?.name === used) return
      used = own?.name
      void api.use(own)
    },
    dictionaryIn: (files, language) =>
      new Promise((resolve, reject) => {
        worker.onerror = () => reject(new Error('The dictionary could not be read: it broke off.'))
        api.dictionaryIn(files, language).then(resolve, reject)
      }),
    meant: (language, word) => api.meant(language, word),
    close: () => worker.terminate(),
  }
}
