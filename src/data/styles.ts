import { slugOf, type StyleDocument } from '@/core/book'
import { commit } from './changes'
import { keptList } from './keptList'

const kept = keptList<StyleDocument>('styles', 'style')

/** Styles that the author kept, for all books of this library. */
export const keptStyles = kept.all

/** Keeps a style, or replaces the one of its id. */
export const keepStyle = (style: StyleDocument): Promise<void> =>
  kept.change(all => [...all.filter(s => s?.id !== style.id), style])

/** Forgets a kept style. Books that are set in it carry their own copy and stay as they are. */
export const forgetStyle = (id: string): Promise<void> => kept.change(all => all.filter(s => s?.id !== id))

/** Sets an edition in a style. One that does not ship is copied into the book, so that a project carries what it is set in; departures from the old style are dropped. */
export function setInStyle(
  bookId: string,
  editionId: string,
  style: { id: string; name: string },
  own: StyleDocument | undefined,
): Promise<void> {
  return commit(bookId, `Set in ${style.name}`, r => {
    const editions = r.editions.map(e => {
      if (e.id !== editionId) return e
      const { styleChanges: _gone, ...rest } = e
      return { ...rest, style: style.id }
    })
    const used = new Set(editions.map(e => e.style))
    const styles = [...(r.styles ?? []).filter(s => s.id !== own?.id && used.has(s.id)), ...(own ? [own] : [])]
    return { editions, styles: styles.length ? styles : undefined }
  })
}

/** An id for a style of the author's own, from its name; never that of a shipped one or of another. */
export function freshStyleId(name: string, taken: Iterable<string>): string {
  const base = `own-${slugOf(name, 'style', 28)}`
  const known = new Set(taken)
  let id = base
  for (let n = 2; known.has(id); n++) id = `${base}-${n}`
  return id
}
