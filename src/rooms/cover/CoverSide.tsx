'use client'
import type { ReactNode } from 'react'
import type { Book, CoverDesign, Edition } from '@/core/book'
import type { Finding } from '@/core/check'
import { WriterOnly } from '@/parts/WriterOnly'
import type { CoverView } from '@/workers/answers/covers'
import { Adding } from './Adding'
import { BarcodeSentence } from './BarcodeSentence'
import { ElsewhereSentence } from './ElsewhereSentence'
import { GroundSentence } from './GroundSentence'
import { Stack } from './Stack'
import { TemplateSentence } from './TemplateSentence'
import type { CoverHand } from './useCoverHand'
import { type Look, ViewSentence } from './ViewSentence'

/** What a cover is, beside the stage: its pieces as they are read, and the ground that they lie on. */
export function CoverSide({
  bookId,
  edition,
  currency,
  outletId,
  cover,
  design,
  book,
  hand,
  look,
  beyond,
  findings,
  onLook,
  children,
}: {
  bookId: string
  edition: Edition | undefined
  /** What the outlet is priced in. */
  currency: string | undefined
  outletId: string | undefined
  cover: CoverView | undefined
  design: CoverDesign | undefined
  book: Book | undefined
  hand: CoverHand
  look: Look
  beyond: number | undefined
  /** What was found in what was made elsewhere. */
  findings: readonly Finding[]
  onLook: (look: Look) => void
  /** What asks for the author first. */
  children?: ReactNode
}) {
  // A whole cover made elsewhere stands in the place of the design.
  const worn = cover?.elsewhere?.what === 'wrap'
  return (
    <aside className="values" aria-label="Values of the cover">
      {children}
      <ViewSentence look={look} beyond={beyond} onLook={onLook} />
      {cover?.elsewhere && edition && (
        <WriterOnly bookId={bookId}>
          <ElsewhereSentence
            {...{ bookId, edition, outletId, cover, findings }}
            names={new Map(book?.assets.map(a => [a.id, a.name ?? '']))}
            onChange={hand.change}
          />
        </WriterOnly>
      )}
      {cover && (
        <Stack
          bookId={bookId}
          cover={cover}
          design={design ?? cover.design}
          data={book?.data}
          assets={book?.assets ?? []}
          fonts={book?.fonts}
          barcode={
            edition && edition.kind !== 'ebook' && edition.wrap?.barcode !== 'in it' && currency ? (
              <WriterOnly bookId={bookId}>
                <BarcodeSentence {...{ bookId, edition, currency }} flat={cover.flat} />
              </WriterOnly>
            ) : undefined
          }
          hand={hand}
        />
      )}
      {cover && (
        <WriterOnly bookId={bookId}>
          {!worn && (
            <>
              <Adding bookId={bookId} onAdd={hand.add} onPicture={hand.addPicture} onOutline={hand.addOutline} />
              <section className="stack" aria-label="Under all">
                <h2>Under all</h2>
                <GroundSentence bookId={bookId} design={design ?? cover.design} onChange={hand.change} />
              </section>
            </>
          )}
        </WriterOnly>
      )}
      {cover && edition && (
        <TemplateSentence {...{ bookId, edition, outletId }} flat={cover.flat} design={book?.cover ?? cover.design} />
      )}
    </aside>
  )
}
