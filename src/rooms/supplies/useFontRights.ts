'use client'
import { useLiveQuery } from 'dexie-react-hooks'
import type { OwnFamily } from '@/core/book'
import { type FontRights, fontRights } from '@/core/type'
import { blobBytes } from '@/data/blobs'

/** What the makers of typefaces say of their use, by the families' ids: as their regular cuts have it. Undefined until they are read. */
export function useFontRights(families: readonly OwnFamily[]): ReadonlyMap<string, FontRights> | undefined {
  const ids = families.map(f => f.id).join()
  return useLiveQuery(async () => {
    const out = new Map<string, FontRights>()
    for (const { id, files } of families) {
      const bytes = files.regular && (await blobBytes(files.regular))
      const rights = bytes && fontRights(bytes)
      if (rights) out.set(id, rights)
    }
    return out
  }, [ids])
}
