'use client'
import type { Book } from '@/core/book'
import { firstEdition } from '@/core/outlets'
import type { OutletProfile } from '@/core/trade'
import { kindWords } from '@/parts/kinds'
import { useCommit } from '@/parts/useCommit'

/** Adds an edition of a kind that the book does not have yet. */
export function AddEdition({ book, outlets }: { book: Book; outlets: readonly OutletProfile[] }) {
  const record = useCommit(book.id)
  const kinds = (['paperback', 'coil', 'case', 'ebook'] as const).filter(k => !book.editions.some(e => e.kind === k))
  const add = (kind: (typeof kinds)[number]): void => {
    const trim = book.editions.find(e => e.kind !== 'ebook')?.trim
    const fresh = firstEdition(kind, outlets, { of: book.plan ? 'pages' : 'text', ...(trim ? { trim } : {}) })
    void record(`Add the ${kindWords[kind]!.toLowerCase()}`, r => ({ editions: [...r.editions, fresh] }))
  }
  return kinds.length ? (
    <p className="quiet">
      Also as{' '}
      {kinds.map((k, i) => (
        <span key={k}>
          {i ? ', ' : ''}
          <button type="button" className="add" onClick={() => add(k)}>
            {kindWords[k]!.toLowerCase()}
          </button>
        </span>
      ))}
    </p>
  ) : null
}
