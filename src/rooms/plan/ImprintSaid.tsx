'use client'
import { useLiveQuery } from 'dexie-react-hooks'
import Link from 'next/link'
import { type Book, isBehind } from '@/core/book'
import { keptImprints, takeImprint } from '@/data/imprints'
import { useSay } from '@/parts/useSay'

/** Whether a book follows an imprint of Supplies, and those that it could say. */
export function ImprintSaid({ book }: { book: Book }) {
  const say = useSay()
  const kept = useLiveQuery(keptImprints) ?? []
  const own = kept.find(i => i.id === book.data.imprint.kept)
  if (own && !isBehind(book, own))
    return (
      <p className="hand">
        As <Link href="/supplies">Supplies</Link> keeps it{own.logo ? ', with its logo' : ''}; what is written here
        makes it this book’s own.
      </p>
    )
  const take = own ? [own] : kept
  return take.map(i => (
    <button key={i.id} type="button" className="add" onClick={() => void takeImprint(book.id, i).catch(say.failed)}>
      {own ? `take “${i.name}” as it is kept now` : `say “${i.name}” as Supplies keeps it`}
    </button>
  ))
}
