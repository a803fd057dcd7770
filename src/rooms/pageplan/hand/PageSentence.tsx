'use client'
import { Button } from 'antd'
import { designKinds, kindOf } from '@/core/activity'
import type { Asset } from '@/core/book'
import { DesignSentence } from './DesignSentence'
import type { Hold } from './holding'
import { PieceSentence } from './PieceSentence'
import { type Home, type InHand, outermost } from './useHand'

/** A page that is taken hold of, or the piece of it: said in sentences, with what can be done to it. */
export function PageSentence({
  bookId,
  assets,
  inHand,
  held,
  onHold,
}: {
  bookId: string
  assets: Asset[]
  inHand: InHand
  held: Hold
  onHold: (hold: Hold | undefined) => void
}) {
  const { page, run, hand, called } = inHand
  const hold = (piece: string | undefined): void => onHold({ index: page.index, ...(piece !== undefined && { piece }) })
  const { piece } = held
  const placed = piece === undefined ? undefined : inHand.placedAt(piece)
  if (piece !== undefined && placed)
    return <DesignSentence {...{ bookId, assets, inHand, piece }} at={placed} onLeave={() => hold(undefined)} />
  if (piece !== undefined) return <PieceSentence inHand={inHand} piece={piece} onLeave={() => hold(undefined)} />
  const left = hand.pieces.filter(p => p.hidden)
  const changed = hand.pieces.length > 0 || !!hand.added?.length || !!hand.order?.length
  return (
    <section className="note" aria-label={`Page ${page.label}`}>
      <h2>Page {page.label}</h2>
      <p>
        {kindOf(run.kind)?.name}
        {page.of && `, made from “${shortened(page.of)}”`}. From the back to the front it has
      </p>
      <ul className="stack">
        {page.pieces.map(p => (
          <li key={p.piece} className={p.piece.includes('/') ? 'inner' : ''}>
            <Button size="small" type="link" onClick={() => hold(p.piece)}>
              {called(p.piece)}
            </Button>
            {p.words !== undefined && <em>{shortened(p.words)}</em>}
            {inHand.isLocked(p.piece) && <em>locked</em>}
          </li>
        ))}
        {left.map(p => (
          <li key={p.piece}>
            <s>{called(p.piece)}</s>{' '}
            <Button
              size="small"
              type="link"
              onClick={() => void inHand.change(p.piece, 'Show', () => ({ hidden: undefined }))}
            >
              show it again
            </Button>
          </li>
        ))}
      </ul>
      <Placing inHand={inHand} onPlaced={hold} />
      <p className="keeping">
        {changed && (
          <Button size="small" type="link" onClick={() => void inHand.putBack()}>
            Put the page back as made
          </Button>
        )}
        <Button size="small" type="link" onClick={() => onHold(undefined)}>
          Back to the run
        </Button>
      </p>
      {outermost(page.pieces).length > 0 && (
        <p className="teach">
          Click a piece to take hold of it: drag it, or move it with the arrows (with Shift ten points), size it with +
          and −. What you change stays with what the page was made from when the run is made anew.
        </p>
      )}
    </section>
  )
}

/** Ways to place something new. */
function Placing({ inHand, onPlaced }: { inHand: InHand; onPlaced: (piece: string | undefined) => void }) {
  const drawn = inHand.run.kind === 'own'
  const homes: { home: Home; words: string }[] = drawn
    ? [
        { home: 'form', words: 'Place on every page of its form' },
        { home: 'page', words: 'On this page alone' },
      ]
    : [{ home: 'page', words: 'Place on this page' }]
  return homes.map(({ home, words }) => (
    <p key={home} className="ways" role="group" aria-label={words}>
      {words}:{' '}
      {designKinds.map(k => (
        <Button key={k.id} size="small" onClick={() => void inHand.place(k.id, home).then(onPlaced)}>
          {k.name}
        </Button>
      ))}
    </p>
  ))
}

const shortened = (words: string): string => (words.length > 42 ? `${words.slice(0, 40).trimEnd()} …` : words)
