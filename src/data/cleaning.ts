import { cleanedKey, type Cleaning, cleaningOf } from '@/core/activity'
import { type Asset, hashOf, type PagePlan } from '@/core/book'
import { Fault } from '@/core/trade'
import { press } from '@/workers/client'
import { putBlobs } from './blobs'
import { commit } from './changes'
import { db } from './db'
import { fitting } from './room'
import { guarded } from './trouble'

/** Cleans the lines of a book's drawing; its original stays. What earlier cleanings left that no run asks for goes with it. Throws a Fault where it cannot be decoded. */
export async function cleanDrawing(bookId: string, id: string, how: Cleaning): Promise<void> {
  const name = (await db.books.get(bookId))?.assets.find(a => a.id === id)?.name ?? 'a drawing'
  const cleaned = await press().cleanedDrawing(id, how)
  if (!cleaned) throw new Fault('picture', `“${name}” is damaged: it cannot be decoded.`)
  const { bytes, width, height } = cleaned
  const asset: Asset = {
    id: hashOf(bytes),
    type: 'image/png',
    width,
    height,
    name: `${name}, cleaned`,
    made: cleanedKey(id, how),
  }
  await fitting(`“${asset.name}”`, bytes.length, async () => {
    await guarded(() => putBlobs([[asset.id, bytes]]))
    await commit(bookId, 'Clean the lines of drawings', r => ({
      assets: [...r.assets.filter(a => a.id !== asset.id && isWanted(a, r.plan)), asset],
    }))
  })
}

/** Whether something that was made from a picture is asked for by a run; what was brought in always is. */
function isWanted({ made }: Asset, plan: PagePlan | undefined): boolean {
  if (made === undefined) return true
  return !!plan?.runs.some(
    ({ kind, params }) =>
      kind === 'pictures' &&
      (params.pictures as string[]).some(id => made === cleanedKey(id, cleaningOf(params as Partial<Cleaning>))),
  )
}
