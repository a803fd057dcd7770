'use client'
import { Button, Checkbox, Segmented } from 'antd'
import dynamic from 'next/dynamic'
import { useSearchParams } from 'next/navigation'
import { useState } from 'react'
import { type CoverDesign, type CoverPiece, sheetSize } from '@/core/cover'
import { showSize } from '@/parts/lengths'
import { BookTop, NoBook } from '@/parts/BookTop'
import { Sill, sillOf } from '@/parts/Sill'
import { useOpenBook } from '@/parts/openBook'
import { useCommit } from '@/parts/useCommit'
import { usePress } from '@/parts/usePress'
import { useSize } from '@/parts/useSize'
import { boxInZone, boxOnFlat } from './boxes'
import { FrontView } from './FrontView'
import { GroundValues } from './GroundValues'
import { Measures } from './Measures'
import { fields, panels } from './pieceWords'
import { PieceValues } from './PieceValues'
import './cover.css'

// The stage draws on a canvas and is only wanted here, in a browser.
const FlatStage = dynamic(() => import('./FlatStage').then(m => m.FlatStage), { ssr: false })

/** The cover: the flat to scale, its pieces bound to fields of the book, refitted when the spine moves. */
export function CoverRoom({ bookId }: { bookId: string }) {
  const view = useOpenBook(bookId, { print: true })
  const { book, edition, outletId, figures } = view
  const [shown, setShown] = useState<'flat' | 'front' | 'thumbnail'>('flat')
  const [zones, setZones] = useState(true)
  const askedPiece = useSearchParams().get('piece')
  const [chosen, setChosen] = useState<string | undefined>(askedPiece ?? undefined)
  const [stage, room] = useSize<HTMLDivElement>()
  const commit = useCommit(bookId)
  const readOnly = view.hold === 'following'

  const editionId = edition?.id
  const { version } = view
  const { answer: cover, trouble: undrawn } = usePress(
    async press => (editionId && version ? press.cover(bookId, editionId, outletId) : undefined),
    [bookId, editionId, outletId, version],
  )
  const size = cover && sheetSize(cover.flat)
  const scale = size && room.width ? Math.min((room.width - 96) / size.width, (room.height - 84) / size.height) : 0
  const { answer: painted, trouble: unpainted } = usePress(
    async press => {
      if (!editionId || !cover || !scale) return undefined
      const ratio = Math.min(2, devicePixelRatio || 1)
      const picture = await press.paintCover(bookId, editionId, 'sheet', scale * ratio, outletId)
      return { picture, front: await press.paintCover(bookId, editionId, 'front', 900 / cover.flat.height, outletId) }
    },
    [bookId, editionId, outletId, cover, scale],
  )
  const { picture, front } = painted ?? {}
  const trouble = undrawn ?? unpainted

  if (view.missing) return <NoBook />
  const design = cover?.design
  const change = (label: string, patch: (d: CoverDesign) => CoverDesign, merge = false): void => {
    if (!design || readOnly) return
    void commit(label, r => ({ cover: patch(r.cover ?? design) }), merge)
  }
  const changePiece = (id: string, label: string, patch: Partial<CoverPiece>, merge = false): void =>
    change(label, d => ({ ...d, pieces: d.pieces.map(p => (p.id === id ? { ...p, ...patch } : p)) }), merge)
  const piece = design?.pieces.find(p => p.id === chosen)
  const refitAsked = !!edition?.coverPages && figures?.pages !== undefined && edition.coverPages !== figures.pages
  const refit = (): void =>
    void (
      edition &&
      figures?.pages &&
      commit(`Refit the cover to ${figures.pages} pages`, r => ({
        editions: r.editions.map(e => (e.id === edition.id ? { ...e, coverPages: figures.pages } : e)),
      }))
    )

  const nudge = (e: React.KeyboardEvent): void => {
    const step = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[e.key] as
      [number, number] | undefined
    const on = piece && cover && boxOnFlat(cover.flat, piece)
    if (!step || !piece || !on) return
    e.preventDefault()
    const by = e.shiftKey ? 10 : 1
    const moved = boxInZone(cover.flat, piece.panel, { ...on, x: on.x + step[0] * by, y: on.y + step[1] * by })!
    changePiece(piece.id, `Move the ${piece.field}`, { box: { ...piece.box, x: moved.x, y: moved.y } }, true)
  }
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
                    onPlace={(id, box) =>
                      changePiece(id, `Place the ${cover.design.pieces.find(p => p.id === id)?.field ?? 'piece'}`, {
                        box,
                      })
                    }
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
          <aside className="values" aria-label="Values of the cover">
            <Segmented
              block
              options={[
                { label: 'Flat', value: 'flat' },
                { label: 'Front', value: 'front' },
                { label: 'Small', value: 'thumbnail' },
              ]}
              value={shown}
              onChange={setShown}
            />
            <Checkbox checked={zones} onChange={e => setZones(e.target.checked)}>
              zones: safe, folds, barcode
            </Checkbox>
            {refitAsked && (
              <section className="refit" role="alert">
                <h2>The book has moved on</h2>
                <p>
                  This cover was fitted to {edition?.coverPages} pages; there are {figures?.pages} now. Everything
                  placed stays placed.
                </p>
                <Button type="primary" disabled={readOnly} onClick={refit}>
                  Refit to {figures?.pages} pages
                </Button>
              </section>
            )}
            {design && (
              <>
                <GroundValues bookId={bookId} design={design} readOnly={readOnly} onChange={change} />
                <h2>Fields of the book</h2>
                <ul className="pieces">
                  {design.pieces.map(p => (
                    <li key={p.id}>
                      <button
                        type="button"
                        aria-pressed={p.id === chosen}
                        onClick={() => setChosen(p.id === chosen ? undefined : p.id)}
                      >
                        {fields[p.field]} <em>on the {panels[p.panel]}</em>
                      </button>
                    </li>
                  ))}
                </ul>
                {piece && cover && (
                  <PieceValues
                    piece={piece}
                    cover={cover}
                    disabled={readOnly}
                    onChange={(label, patch, merge) => changePiece(piece.id, label, patch, merge)}
                  />
                )}
              </>
            )}
          </aside>
        </div>
      </main>
      <Sill
        figures={figures ? sillOf(figures, view.was) : []}
        asks={
          refitAsked
            ? `Cover fitted to ${edition?.coverPages} pages: refit`
            : (trouble ??
              (view.settling && figures
                ? 'settling …'
                : (figures?.findings.find(f => f.place.kind === 'cover')?.message ?? figures?.findings[0]?.message)))
        }
      />
    </>
  )
}
