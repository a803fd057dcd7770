import { ABOUT_AUTHOR, type PenName } from '@/core/book'
import { outNow } from './former'
import { keptList } from './keptList'
import { authorNotes, followersOf, spread, type Spread } from './matter'

const kept = keptList<PenName>('penNames', 'name')

/** The names that the author writes under. */
export const keptPenNames = kept.all

/** Keeps a new pen name; gives it. */
export const keepPenName = (name: string, said: Partial<Omit<PenName, 'id' | 'name'>> = {}): Promise<PenName> =>
  kept.add(name, id => ({ id, name, note: '', ...said }))

/** Changes a pen name, and the note about the author in every book that follows it; books that cannot be written now are told. */
export async function changePenName(id: string, patch: Partial<Omit<PenName, 'id'>>): Promise<Spread> {
  const before = (await kept.all()).find(n => n.id === id)
  if (!before) throw new Error('This pen name is kept no more.')
  const following = (await followersOf([authorNotes([before])])).get(ABOUT_AUTHOR)!
  const former = await outNow(following.map(f => f.book))
  await kept.change(all =>
    all.map(n => {
      if (n?.id !== id) return n
      const { portrait, sortName, ...said } = { ...n, ...patch, former }
      return { ...said, ...(portrait ? { portrait } : {}), ...(sortName ? { sortName } : {}) }
    }),
  )
  return spread(authorNotes(await kept.all()))
}

/** Forgets a pen name. What books say of their authors stays theirs. */
export const forgetPenName = (id: string): Promise<void> => kept.change(all => all.filter(n => n?.id !== id))
