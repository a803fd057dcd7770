'use client'
import dynamic from 'next/dynamic'
import { useSearchParams } from 'next/navigation'
import { type KeyboardEvent, useRef, useState } from 'react'
import type { Asset, CoverDesign, CoverPiece } from '@/core/book'
import type { Finding } from '@/core/check'
import { boxOnFlat, piecesShown, settledOn } from '@/core/cover'
import { BookTop, NoBook } from '@/parts/BookTop'
import { type OpenBook, useOpenBook } from '@/parts/openBook'
import { Sill, sillOf } from '@/parts/Sill'
import { useCommit } from '@/parts/useCommit'
import { CoverSide } from './CoverSide'
import { CutBrush } from './CutBrush'
import { foundElsewhere } from './ElsewhereSentence'
import type { Marked } from './FlatStage'
import { FlatView } from './FlatView'
import { FrontFile } from './FrontFile'
import { FrontView } from './FrontView'
import { DesignWall } from './DesignWall'
import { Refit } from './Refit'
import { useCover, useEarlyCover } from './useCover'
import { useCoverHand } from './useCoverHand'
import { useDrafts } from './useDrafts'
import { useHairline } from './useHairline'
import { type Look, usualLook } from './ViewSentence'
import type { CoverView } from '@/workers/answers/covers'
import './cover.css'

// What draws in three dimensions is loaded when it is asked for.
const BookInSpace = dynamic(() => import('./BookInSpace').then(m => m.BookInSpace), { ssr: false })

/** The cover: the flat to scale, its pieces bound to fields of the book, refitted when the spine moves. */
export function CoverRoom({ bookId }: { bookId: string }) {
  const drawn = useEarlyCover(bookId)
  const view = useOpenBook(bookId, { look: 'print', first: drawn.early.first })
  const { book, edition, figures } = view
  const [look, setLook] = useState<Look>(usualLook)
  const asked = useSearchParams().get('piece')
  const readOnly = view.hold === 'following'
  const { stage, cover, size, scale, picture, front, beyond, trouble } = useCover(bookId, view, drawn, {
    fronts: look.what === 'front' || look.what === 'small',
    proof: look.tone === 'press' || look.tone === 'marked' ? look.tone : undefined,
  })
  // What is written is seen in its sentences at once, and on the flat as soon as it is drawn.
  const design = book?.cover ?? cover?.design
  const shown = design && pieceShown(design, cover)
  const hand = useCoverHand(bookId, design, {
    flat: cover?.flat,
    seen: shown?.pieces,
    assets: book?.assets ?? NONE,
    begin: asked ?? undefined,
    readOnly,
  })
  const refit = useRefit(bookId, view)
  const drafts = useDrafts(bookId, book?.coverDrafts ?? NONE, design)
  const bench = useRef<HTMLDivElement>(null)
  const flatSeen = look.what === 'flat'
  const piece = shown?.pieces.find(p => p.id === hand.chosen)
  const brushed = brushedPiece(piece, hand.brushed, book?.assets)
  const worn = cover?.elsewhere?.what === 'wrap'
  const found = foundElsewhere(figures?.findings ?? NONE)
  const box = flatSeen && piece && cover ? boxOnFlat(cover.flat, piece) : undefined
  const bleed = cover?.flat.bleed
  const hairline = useHairline(bench, {
    box: box && bleed && { ...box, x: box.x + bleed.left, y: box.y + bleed.top },
    scale,
    anew: design,
  })
  if (view.missing) return <NoBook />
  const pressed = (e: KeyboardEvent): void => {
    if (hand.key(e)) e.preventDefault()
  }
  return (
    <>
      <main id="room" className="room coverroom">
        <BookTop bookId={bookId} view={view} stage="cover" />
        <div className="bench" ref={bench}>
          <div
            className="stage"
            ref={stage}
            tabIndex={0}
            role="group"
            aria-label="The flat. Arrow keys move the chosen piece, Delete takes it out."
            data-greys={look.tone === 'greys'}
            onKeyDown={pressed}
          >
            {!cover && (
              <p className="waiting" role="status">
                {trouble ??
                  view.trouble ??
                  (book && !edition ? 'This book has no print edition, so there is no flat.' : 'Drawing the flat …')}
              </p>
            )}
            {brushed && (
              <CutBrush {...brushed} onChange={hand.onPiece(brushed.piece.id)} onDone={() => hand.brush(undefined)} />
            )}
            {cover && size && !brushed && scale > 0 && (flatSeen || look.what === 'trimmed') && (
              <FlatView
                {...{ cover, size, scale, picture, hand, readOnly }}
                design={shown ?? cover.design}
                look={look}
                marks={areasOf(found)}
                paper={edition?.paper}
                outlet={figures?.outlet}
              />
            )}
            {cover && book && edition && look.what === 'folded' && (
              <BookInSpace
                {...{ bookId, editionId: edition.id, outletId: view.outletId, flat: cover.flat }}
                finish={edition.finish}
                title={book.data.title}
              />
            )}
            {cover && look.what === 'designs' && worn && (
              <p className="waiting">
                This edition wears a cover made elsewhere. Take it off, and designs can be worn.
              </p>
            )}
            {cover && book && edition && look.what === 'designs' && !worn && (
              <DesignWall
                of={{ bookId, editionId: edition.id, outletId: view.outletId, book }}
                design={design ?? cover.design}
                drafts={drafts}
                onChange={hand.change}
              />
            )}
            {cover && front && (look.what === 'front' || look.what === 'small') && (
              <FrontView front={front} small={look.what === 'small'} book={book}>
                {edition && (
                  <FrontFile
                    {...{ bookId, editionId: edition.id, outletId: view.outletId, front }}
                    outlet={figures?.outlet}
                  />
                )}
              </FrontView>
            )}
          </div>
          <CoverSide
            bookId={bookId}
            edition={edition}
            currency={figures?.currency}
            outletId={view.outletId}
            cover={cover}
            design={shown}
            book={book}
            findings={found}
            hand={hand}
            look={look}
            beyond={beyond}
            onLook={setLook}
          >
            {refit && edition && (
              <Refit {...refit} {...{ bookId, editionId: edition.id, outletId: view.outletId, readOnly }} />
            )}
          </CoverSide>
          {hairline && (
            <svg className="hairline" aria-hidden>
              <path className="halo" d={hairline} />
              <path d={hairline} />
            </svg>
          )}
        </div>
      </main>
      <Sill
        figures={figures ? sillOf(figures, view.was) : []}
        asks={refit ? `Cover fitted to ${refit.fitted} pages: refit` : (trouble ?? asksOf(view))}
      />
    </>
  )
}

const NONE: never[] = []

/** The picture whose cut-out is corrected by hand. */
function brushedPiece(piece: CoverPiece | undefined, id: string | undefined, assets: readonly Asset[] = NONE) {
  if (!piece || piece.id !== id || piece.kind !== 'picture' || !piece.cut) return undefined
  const asset = assets.find(a => a.id === piece.asset)
  return asset && { piece, asset }
}

/** The design with the pieces that are seen: none under a whole cover that was made elsewhere. */
function pieceShown(design: CoverDesign, cover: CoverView | undefined): CoverDesign {
  const shown = { ...design, pieces: cover?.elsewhere?.what === 'wrap' ? NONE : piecesShown(design) }
  return cover ? settledOn(shown, cover.flat) : shown
}

/** Where on the flat findings are, by the number that each is listed under. */
const areasOf = (findings: readonly Finding[]): Marked[] =>
  findings.flatMap(({ place, severity }, i) =>
    place.kind === 'cover' && place.area ? [{ n: i + 1, area: place.area, stops: severity === 'stop' }] : [],
  )

/** Where the cover was fitted to another number of pages than the book has now. */
function useRefit(
  bookId: string,
  { edition, figures }: OpenBook,
): { fitted: number; pages: number; onRefit: () => void } | undefined {
  const commit = useCommit(bookId)
  const pages = figures?.pages
  if (!edition?.coverPages || pages === undefined || edition.coverPages === pages) return undefined
  const onRefit = (): void =>
    void commit(`Refit the cover to ${pages} pages`, r => ({
      editions: r.editions.map(e => (e.id === edition.id ? { ...e, coverPages: pages } : e)),
    }))
  return { fitted: edition.coverPages, pages, onRefit }
}

const asksOf = ({ settling, figures }: OpenBook): string | undefined =>
  settling && figures
    ? 'settling …'
    : (figures?.findings.find(f => f.place.kind === 'cover')?.message ?? figures?.findings[0]?.message)
