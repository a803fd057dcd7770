import type { Said } from '../../../book'
import { elements, type XmlElement } from '../../../files'
import { textIn } from './textIn'

/** What commentators say, by the ids that the text has for what began each thread; its answers behind it. */
export function readComments(root: XmlElement | undefined, extended: XmlElement | undefined): Map<string, Said[]> {
  const parents = new Map<string, string>()
  for (const e of elements(extended)) {
    const [own, parent] = [e.attrs['w15:paraId'], e.attrs['w15:paraIdParent']]
    if (own && parent) parents.set(own, parent)
  }
  /** Ids of what began threads, by the paragraphs that their comments end with. */
  const begun = new Map<string, string>()
  const threads = new Map<string, Said[]>()
  for (const c of elements(root)) {
    const paragraphs = elements(c)
    const words = paragraphs.map(textIn).join('\n').trim()
    if (!words) continue
    const when = Date.parse(c.attrs['w:date'] ?? '')
    const said: Said = { by: c.attrs['w:author']?.trim() ?? '', when: when > 0 ? when : 0, words }
    const last = paragraphs.at(-1)?.attrs['w14:paraId'] ?? ''
    const id = c.attrs['w:id'] ?? ''
    const parent = parents.get(last)
    const first = parent === undefined ? undefined : begun.get(parent)
    if (first !== undefined) {
      threads.get(first)!.push(said)
      begun.set(last, first)
      continue
    }
    begun.set(last, id)
    threads.set(id, [said])
  }
  return threads
}

/** A thread as the words of one remark. */
export const threadSaid = (thread: readonly Said[]): string =>
  thread.map(({ by, words }) => (by ? `${by}: ${words}` : words)).join('\n')
