'use client'
import dynamic from 'next/dynamic'
import { useSearchParams } from 'next/navigation'
import { type KeyboardEvent, useState } from 'react'
import { showSize } from '@/parts/lengths'
import { BookTop, NoBook } from '@/parts/BookTop'
import { type OpenBook, useOpenBook } from '@/parts/openBook'
import { Sill, sillOf } from '@/parts/Sill'
import { useCommit } from '@/parts/useCommit'
import { boxInZone, boxOnFlat } from './boxes'
import { type ChangeDesign, type ChangePiece, CoverValues, Refit, type StageView } from './CoverValues'
import { FrontView } from './FrontView'
import { Measures } from './Measures'
import { useCover } from './useCover'
import './cover.css'

// The stage draws on a canvas and is only wanted here, in a browser.
const FlatStage = dynamic(() => import('./FlatStage').then(m => m.FlatStage), { ssr: false })

/** The cover: the flat to scale, its pieces bound to fields of the book, refitted when the spine moves. */
export function CoverRoom({ bookId }: { bookId: string }) {
  const view = useOpenBook(bookId, { look: 'print' })
  const { book, edition, figures } = view
  const [shown, setShown] = useState<StageView>('flat')
  const [zones, setZones] = useState(true)
  const asked = useSearchParams().get('piece')
  const [chosen, setChosen] = useState<string | undefined>(asked ?? undefined)
  const readOnly = view.hold === 'following'
  const { stage, cover, size, scale, picture, front, trouble } = useCover(bookId, view)
  const commit = useCommit(bookId)
  const refit = useRefit(bookId, view)
  if (view.missing) return <NoBook />

  const change: ChangeDesign = (label, patch, merge = false) => {
    if (!cover || readOnly) return
    void commit(label, r => ({ cover: patch(r.cover ?? cover.design) }), merge)
  }
  const changePiece: ChangePiece = (id, label, patch, merge) =>
    change(label, d => ({ ...d, pieces: d.pieces.map(p => (p.id === id ? { ...p, ...patch } : p)) }), merge)
  const piece = cover?.design.pieces.find(p => p.id === chosen)
  const nudge = (e: KeyboardEvent): void => {
    const step = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[e.key] as
      [number, number] | undefined
    const on = piece && cover && boxOnFlat(cover.flat, piece)
    if (!step || !piece || !on) return
    e.preventDefault()
    const by = e.shiftKey ? 10 : 1
    const moved = boxInZone(cover.flat, piece.panel, { ...on, x: on.x + step[0] * by, y: on.y + step[1] * by })!
    changePiece(piece.id, `Move the ${piece.field}`, { box: { ...piece.box, x: moved.x, y: moved.y } }, true)
  }
  const nameOf = (id: string): string => cover?.design.pieces.find(p => p.id === id)?.field ?? 'piece'
  return (
    <>
      <main id="room" className="room coverroom">
        <BookTop bookId={bookId} view={view} stage="cover" />
        <div className="bench">
          <div
            className="stage"
            ref={stage}
            tabIndex={0}
            role="group"
            aria-label="The flat. Arrow keys move the chosen piece."
            onKeyDown={nudge}
          >
            {!cover && (
              <p className="waiting" role="status">
                {trouble ??
                  view.trouble ??
                  (book && !edition ? 'This book has no print edition, so there is no flat.' : 'Drawing the flat …')}
              </p>
            )}
            {cover && size && scale > 0 && shown === 'flat' && (
              <div className="flat" style={{ width: size.width * scale }}>
                <Measures cover={cover} scale={scale} />
                <div className="sheet" style={{ width: size.width * scale, height: size.height * scale }}>
                  <FlatStage
                    flat={cover.flat}
                    design={cover.design}
                    picture={picture}
                    scale={scale}
                    zones={zones}
                    chosen={chosen}
                    readOnly={readOnly}
                    onChoose={setChosen}
                    onPlace={(id, box) => changePiece(id, `Place the ${nameOf(id)}`, { box })}
                  />
                </div>
                <p className="whole">
                  {showSize(size.width, size.height)} with bleed · {cover.flat.pages} pages on {edition?.paper} ·{' '}
                  {figures?.outlet}
                </p>
              </div>
            )}
            {cover && front && shown !== 'flat' && (
              <FrontView front={front} thumbnail={shown === 'thumbnail'} title={book?.data.title ?? ''} />
            )}
          </div>
          <CoverValues
            bookId={bookId}
            cover={cover}
            shown={shown}
            zones={zones}
            chosen={chosen}
            readOnly={readOnly}
            onShow={setShown}
            onZones={setZones}
            onChoose={setChosen}
            onChange={change}
            onPiece={changePiece}
          >
            {refit && <Refit {...refit} readOnly={readOnly} />}
          </CoverValues>
        </div>
      </main>
      <Sill
        figures={figures ? sillOf(figures, view.was) : []}
        asks={refit ? `Cover fitted to ${refit.fitted} pages: refit` : (trouble ?? asksOf(view))}
      />
    </>
  )
}

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
