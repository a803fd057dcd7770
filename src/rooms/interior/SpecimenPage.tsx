'use client'
import type { Edition } from '@/core/book'
import type { Leaves } from '@/core/chain'
import { PageCanvas } from '@/parts/PageCanvas'
import { Exception } from './Exception'
import type { Match } from './Find'
import { type Overlay, PageViews } from './PageViews'
import type { partInView } from './zoom'

/** What both pages of a spread have in common. */
export interface SpreadView {
  bookId: string
  edition: Edition
  leaves: Leaves
  version: number
  /** Pixels a point. */
  scale: number
  shown: ReadonlySet<Overlay>
  found: Match[]
  hasText: boolean
  /** Pages in a changed style, while the book is being set in it. */
  early: Map<number, ImageBitmap> | undefined
  onPlace: (page: number, x: number, y: number) => void
}

/** One page of the open spread; an empty place where the spread has none. `part`: what of it is in view. */
export function SpecimenPage({
  of,
  index,
  part,
}: {
  of: SpreadView
  index: number
  part: ReturnType<typeof partInView>
}) {
  const { bookId, edition, leaves, version, scale, shown, found, hasText } = of
  const { width, height } = leaves
  const page = leaves.pages[index]
  const at = { bookId, editionId: edition.id, version, scale }
  return (
    <div
      className={page ? 'page' : 'page none'}
      style={{ width: width * scale, height: height * scale }}
      title={page && !page.blank ? 'A click opens the text here' : undefined}
      onClick={e => {
        const box = e.currentTarget.getBoundingClientRect()
        of.onPlace(index, (e.clientX - box.left) / scale, (e.clientY - box.top) / scale)
      }}
    >
      {page && part && (
        <PageCanvas
          {...at}
          index={index}
          width={width}
          height={height}
          part={part}
          early={of.early?.get(index)}
          label={`Page ${page.label}${page.blank ? ', blank' : ''}`}
        />
      )}
      {page?.section && hasText && (
        <Exception
          bookId={bookId}
          edition={edition}
          section={page.section}
          title={page.opens ?? ''}
          style={leaves.style}
        />
      )}
      {page && (shown.size > 0 || found.length > 0) && (
        <PageViews
          {...at}
          leaves={leaves}
          page={index}
          shown={shown}
          found={found.flatMap(m => (m.page === index ? m.boxes : []))}
        />
      )}
    </div>
  )
}
