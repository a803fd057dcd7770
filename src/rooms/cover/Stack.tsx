'use client'
import { type ReactNode, useEffect, useRef, useState } from 'react'
import {
  type Asset,
  type Book,
  type CoverDesign,
  type CoverPiece,
  type Imprint,
  isWords,
  type PieceGround,
  type TitleData,
} from '@/core/book'
import { wordsOf } from '@/core/cover'
import { WriterOnly } from '@/parts/WriterOnly'
import type { CoverView } from '@/workers/answers/covers'
import { type ChangePiece, inReadingOrder } from './coverChanges'
import { ArrangeSentence } from './ArrangeSentence'
import { LogoSentence } from './LogoSentence'
import { OrnamentSentence } from './OrnamentSentence'
import { PictureSentence } from './PictureSentence'
import { fields, forms, panels } from './pieceWords'
import { PieceWays, type Ways } from './PieceWays'
import { PlaceSentence } from './PlaceSentence'
import { RepeatSentence } from './RepeatSentence'
import { ShapeSentence } from './ShapeSentence'
import { TextSentence } from './TextSentence'
import type { Arrange, CoverHand } from './useCoverHand'

/** Panels in the order in which a cover is read. */
const order: readonly PieceGround[] = ['front', 'spine', 'back', 'sheet']

/** What a piece is called in the list. */
function listed(piece: CoverPiece): string {
  if (piece.name) return upper(piece.name)
  if (isWords(piece)) return piece.field === 'own' ? `“${shortened(piece.words ?? '')}”` : fields[piece.field]
  if (piece.kind === 'shape') return upper(forms[piece.form].replace(/^an? /, ''))
  if (piece.kind === 'logo') return 'The imprint’s logo'
  return upper(piece.kind === 'ornament' ? piece.ornament : piece.kind)
}
const upper = (s: string): string => s.charAt(0).toUpperCase() + s.slice(1)
const shortened = (s: string): string => (s.length > 24 ? `${s.slice(0, 23)}…` : s)

/** All pieces by panel, as they are read; the chosen one is said in its place. */
export function Stack({
  bookId,
  cover,
  design: { pieces },
  data,
  assets,
  fonts,
  barcode,
  hand: { chosen, held, ways, arrange, choose, brush, onPiece },
}: {
  bookId: string
  cover: CoverView
  design: CoverDesign
  data: TitleData | undefined
  assets: Asset[]
  fonts: Book['fonts']
  /** The barcode's own sentence; it stands on the back wherever the printer wants it. */
  barcode: ReactNode
  hand: CoverHand
}) {
  const [barcodeSaid, setBarcodeSaid] = useState(false)
  return (
    <>
      {order.map(panel => {
        const on = inReadingOrder(pieces.filter(p => p.panel === panel))
        const coded = panel === 'back' && barcode
        return (
          (on.length > 0 || coded) && (
            <section key={panel} className="stack" aria-label={`On the ${panels[panel]}`}>
              <h2>On the {panels[panel]}</h2>
              <ul>
                {on.map(p => (
                  <li key={p.id}>
                    <button
                      type="button"
                      aria-pressed={held.includes(p.id)}
                      onClick={e => choose(p.id === chosen && !e.shiftKey ? undefined : p.id, e.shiftKey)}
                    >
                      {listed(p)} <em className="unseen">on the {panels[panel]}</em>
                      {data && isWords(p) && !wordsOf(data, p).trim() && <em>has nothing to say</em>}
                    </button>
                    {p.id === chosen && (
                      <Said
                        piece={p}
                        {...{ bookId, cover, assets, fonts, ways, arrange }}
                        imprint={data?.imprint}
                        onBrush={() => brush(p.id)}
                        onChange={onPiece(p.id)}
                      />
                    )}
                  </li>
                ))}
                {coded && (
                  <li>
                    <button type="button" aria-expanded={barcodeSaid} onClick={() => setBarcodeSaid(!barcodeSaid)}>
                      Barcode <em className="unseen">on the back</em>
                    </button>
                    {barcodeSaid && (
                      <div className="said" role="group" aria-label="Barcode, in sentences">
                        {barcode}
                      </div>
                    )}
                  </li>
                )}
              </ul>
            </section>
          )
        )
      })}
    </>
  )
}

/** A piece in sentences. */
function Said({
  bookId,
  piece,
  cover,
  assets,
  fonts,
  imprint,
  ways,
  arrange,
  onBrush,
  onChange,
}: {
  bookId: string
  piece: CoverPiece
  cover: CoverView
  assets: Asset[]
  fonts: Book['fonts']
  imprint: Imprint | undefined
  ways: Ways
  arrange: Arrange
  onBrush: () => void
  onChange: ChangePiece
}) {
  const here = useRef<HTMLDivElement>(null)
  // What scrolling returns is none of React's.
  useEffect(() => void here.current?.scrollIntoView({ block: 'nearest' }), [])
  return (
    <div ref={here} className="said" id="said-piece" role="group" aria-label={`${listed(piece)}, in sentences`}>
      <WriterOnly bookId={bookId}>
        {isWords(piece) ? (
          <TextSentence
            piece={piece}
            set={cover.pieces.find(s => s.id === piece.id)}
            fonts={fonts}
            onChange={onChange as ChangePiece<typeof piece>}
          />
        ) : piece.kind === 'shape' ? (
          <ShapeSentence piece={piece} onChange={onChange as ChangePiece<typeof piece>} />
        ) : piece.kind === 'picture' ? (
          <PictureSentence
            bookId={bookId}
            piece={piece}
            assets={assets}
            flat={cover.flat}
            onBrush={onBrush}
            onChange={onChange as ChangePiece<typeof piece>}
          />
        ) : piece.kind === 'logo' ? (
          <LogoSentence imprint={imprint} />
        ) : piece.kind === 'repeat' ? (
          <RepeatSentence {...{ bookId, piece, assets }} onChange={onChange as ChangePiece<typeof piece>} />
        ) : (
          <OrnamentSentence piece={piece} onChange={onChange as ChangePiece<typeof piece>} />
        )}
        <PlaceSentence piece={piece} flat={cover.flat} onChange={onChange} />
        <ArrangeSentence arrange={arrange} />
        <PieceWays ways={ways} />
      </WriterOnly>
    </div>
  )
}
