import { isSetting } from '@/core/archive'
import { slugOf } from '@/core/book'
import { db } from './db'
import { guarded } from './trouble'

/** Things of one kind that are kept for all books, by ids, under one setting. */
export interface KeptList<T extends { id: string }> {
  /** Those that are in order: a broken one does not take the others along. */
  all: () => Promise<T[]>
  /** Changes them. What cannot be read stays as it is. */
  change: (how: (all: T[]) => T[]) => Promise<void>
  /** Keeps one under an id of its own, made from a name; gives it. */
  add: (name: string, make: (id: string) => T) => Promise<T>
}

/** Letters of an id that its name gives. */
const NAME = 50

export function keptList<T extends { id: string }>(key: string, word: string): KeptList<T> {
  const stored = async (): Promise<T[]> => {
    const value = (await db.settings.get(key))?.value
    return Array.isArray(value) ? (value as T[]) : []
  }
  const isOne = (x: T): boolean => isSetting(key, [x])
  const change = (how: (all: T[]) => T[]): Promise<void> =>
    guarded(() =>
      db.transaction('rw', db.settings, async () => {
        const value = how(await stored())
        if (!isSetting(key, value.filter(isOne))) throw new Error('This is more than is kept.')
        await db.settings.put({ key, value })
      }),
    )
  return {
    all: async () => (await stored()).filter(isOne),
    change,
    add: async (name, make) => {
      let made: T | undefined
      await change(all => {
        const base = slugOf(name, word).slice(0, NAME)
        let id = base
        for (let n = 2; all.some(x => x?.id === id); n++) id = `${base}-${n}`
        made = make(id)
        if (!isOne(made)) throw new Error('This cannot be kept: it is longer than books can say.')
        return [...all, made]
      })
      return made!
    },
  }
}
