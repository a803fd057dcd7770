'use client'
import { Button } from 'antd'
import type { ReactNode } from 'react'
import { type DesignControl, designOf } from '@/core/activity'
import type { Asset, Changes, DesignPiece } from '@/core/book'
import { PictureChoice } from '@/parts/PictureChoice'
import { ChoiceValue, NumberValue, Sentence, TextValue } from '@/parts/Sentence'
import { PieceWays } from './PieceWays'
import type { Home, InHand } from './useHand'

const POINTS = { factor: 1, step: 1, digits: 1, unit: 'pt' }
const PERCENT = { factor: 100, step: 5, digits: 0, unit: '%' }
/** Of a side and of a place, shares of the room. */
const LEAST = 0.005
const FAR = 5

/** A piece that the author placed: what it is, where, how large. */
export function DesignSentence({
  bookId,
  assets,
  inHand,
  piece: name,
  at: { piece, home },
  onLeave,
}: {
  bookId: string
  assets: Asset[]
  inHand: InHand
  piece: string
  at: { piece: DesignPiece; home: Home }
  onLeave: () => void
}) {
  const kind = designOf(piece.kind)
  const set = (label: string, next: (was: DesignPiece) => Changes<DesignPiece>, merge = true): Promise<boolean> =>
    inHand.changePlaced(name, label, next, merge)
  const value = (key: string): ReactNode => {
    const c = (kind!.controls as Record<string, DesignControl>)[key]!
    const now = piece.params[key]
    const take = (v: unknown): Promise<boolean> => set(c.says, p => ({ params: { ...p.params, [key]: v } }))
    if (c.as === 'text') return <TextValue label={c.says} value={String(now)} most={4000} lines onTake={take} />
    if (c.as === 'picture')
      return (
        <PictureChoice
          bookId={bookId}
          assets={assets}
          value={String(now)}
          none="no picture yet"
          label={c.says}
          quiet
          pages
          onChange={v => void take(v)}
        />
      )
    if (c.as === 'choice')
      return <ChoiceValue label={c.says} value={String(now)} choices={c.choices} onChange={v => void take(v)} />
    if (c.as !== 'length' && c.as !== 'share') return null
    const form = c.as === 'share' ? PERCENT : { ...POINTS, step: c.step }
    return (
      <NumberValue
        label={c.says}
        value={Number(now)}
        least={c.least}
        most={c.most}
        form={form}
        onChange={v => void take(v)}
      />
    )
  }
  const { room } = inHand.page
  const length = (label: string, key: 'x' | 'y' | 'width' | 'height'): ReactNode => {
    // Kept as a share of the room, said in points.
    const factor = key === 'x' || key === 'width' ? room.width : room.height
    if (piece.locked) return <b>{Number((piece[key] * factor).toFixed(1))} pt</b>
    const least = key === 'width' || key === 'height' ? LEAST : -FAR
    return (
      <NumberValue
        label={label}
        value={piece[key]}
        least={least}
        most={FAR}
        form={{ ...POINTS, factor }}
        onChange={v => void set(label, () => ({ [key]: v }))}
      />
    )
  }
  return (
    <section className="note" aria-label={`${inHand.called(name)} of page ${inHand.page.label}`}>
      <h2>
        {inHand.called(name)} <em>page {inHand.page.label}</em>
      </h2>
      {kind && (
        <p>
          <Sentence words={kind.sentence} value={value} />
        </p>
      )}
      <p>
        It stands {length('From the left', 'x')} from the left and {length('From the top', 'y')} from the top,{' '}
        {length('Width', 'width')} wide and {length('Height', 'height')} high;{' '}
        {home === 'form' ? 'so on every page of its form.' : 'on this page alone.'}
      </p>
      <p>
        It is{' '}
        <ChoiceValue
          label="Free or locked"
          value={piece.locked ? 'locked' : 'free'}
          choices={[
            { value: 'free', words: 'free to be moved' },
            { value: 'locked', words: 'locked' },
          ]}
          onChange={v => void set('Lock', () => ({ locked: v === 'locked' || undefined }), false)}
        />
        , called{' '}
        <TextValue
          label="What it is called"
          value={inHand.called(name)}
          most={80}
          onTake={called => set('Name', () => ({ name: called || undefined }))}
        />
        .
      </p>
      <PieceWays inHand={inHand} piece={name} onLeave={onLeave}>
        {!piece.locked && (
          <Button
            size="small"
            type="link"
            onClick={() => {
              void inHand.remove(name)
              onLeave()
            }}
          >
            Take it away
          </Button>
        )}
      </PieceWays>
    </section>
  )
}
