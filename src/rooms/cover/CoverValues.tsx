'use client'
import { Button, Checkbox, Segmented } from 'antd'
import type { ReactNode } from 'react'
import type { CoverDesign, CoverPiece } from '@/core/cover'
import type { CoverView } from '@/workers/answers/covers'
import { GroundValues } from './GroundValues'
import { fields, panels } from './pieceWords'
import { PieceValues } from './PieceValues'

/** What the stage shows: the whole flat, the front, or the front as small as shops show it. */
export type StageView = 'flat' | 'front' | 'thumbnail'

/** A change of the design, as one step; `merge`: it may join the one before. */
export type ChangeDesign = (label: string, patch: (d: CoverDesign) => CoverDesign, merge?: boolean) => void
export type ChangePiece = (id: string, label: string, patch: Partial<CoverPiece>, merge?: boolean) => void

/** What a cover is, beside the stage: its ground, and the fields of the book that stand on it. */
export function CoverValues({
  bookId,
  cover,
  shown,
  zones,
  chosen,
  readOnly,
  children,
  onShow,
  onZones,
  onChoose,
  onChange,
  onPiece,
}: {
  bookId: string
  cover: CoverView | undefined
  shown: StageView
  zones: boolean
  chosen: string | undefined
  readOnly: boolean
  /** What asks for the author first. */
  children?: ReactNode
  onShow: (view: StageView) => void
  onZones: (shown: boolean) => void
  onChoose: (piece: string | undefined) => void
  onChange: ChangeDesign
  onPiece: ChangePiece
}) {
  const design = cover?.design
  const piece = design?.pieces.find(p => p.id === chosen)
  return (
    <aside className="values" aria-label="Values of the cover">
      <Segmented
        block
        options={[
          { label: 'Flat', value: 'flat' },
          { label: 'Front', value: 'front' },
          { label: 'Small', value: 'thumbnail' },
        ]}
        value={shown}
        onChange={onShow}
      />
      <Checkbox checked={zones} onChange={e => onZones(e.target.checked)}>
        zones: safe, folds, barcode
      </Checkbox>
      {children}
      {design && (
        <>
          <GroundValues bookId={bookId} design={design} readOnly={readOnly} onChange={onChange} />
          <h2>Fields of the book</h2>
          <ul className="pieces">
            {design.pieces.map(p => (
              <li key={p.id}>
                <button
                  type="button"
                  aria-pressed={p.id === chosen}
                  onClick={() => onChoose(p.id === chosen ? undefined : p.id)}
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
              onChange={(label, patch, merge) => onPiece(piece.id, label, patch, merge)}
            />
          )}
        </>
      )}
    </aside>
  )
}

/** The book has more or fewer pages than its cover was fitted to. */
export function Refit({
  fitted,
  pages,
  readOnly,
  onRefit,
}: {
  fitted: number
  pages: number
  readOnly: boolean
  onRefit: () => void
}) {
  return (
    <section className="refit" role="alert">
      <h2>The book has moved on</h2>
      <p>
        This cover was fitted to {fitted} pages; there are {pages} now. Everything placed stays placed.
      </p>
      <Button type="primary" disabled={readOnly} onClick={onRefit}>
        Refit to {pages} pages
      </Button>
    </section>
  )
}
