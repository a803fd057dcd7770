'use client'
import { Button } from 'antd'
import type { ReactNode } from 'react'
import { ChoiceValue, NumberValue, TextValue } from '@/parts/Sentence'
import { PieceWays } from './PieceWays'
import type { InHand } from './useHand'

const POINTS = { factor: 1, step: 1, digits: 1, unit: 'pt' }
const PERCENT = { factor: 100, step: 5, digits: 0, unit: '%' }
const FAR = 800

/** A piece that its page makes, as the author's hand leaves it: where, how large, what it says, shown or not. */
export function PieceSentence({ inHand, piece, onLeave }: { inHand: InHand; piece: string; onLeave: () => void }) {
  const { page, hand, called } = inHand
  const on = page.pieces.find(p => p.piece === piece)
  const done = hand.pieces.find(p => p.piece === piece)
  const { x = 0, y = 0, size = 1, locked } = done ?? {}
  const made = on?.made ?? on?.words
  const set = (label: string, next: Parameters<InHand['change']>[2], merge = true): Promise<boolean> =>
    inHand.change(piece, label, next, merge)
  const number = (label: string, key: 'x' | 'y' | 'size'): ReactNode => {
    const [value, least, most, form] =
      key === 'size' ? [size, 0.1, 10, PERCENT] : [key === 'x' ? x : y, -FAR, FAR, POINTS]
    const take = (v: number): void => void set(label, () => ({ [key]: v }))
    if (!locked) return <NumberValue {...{ label, value, least, most, form }} onChange={take} />
    return (
      <b>
        {Number((value * form.factor).toFixed(form.digits))} {form.unit}
      </b>
    )
  }
  return (
    <section className="note" aria-label={`${called(piece)} of page ${page.label}`}>
      <h2>
        {called(piece)} <em>page {page.label}</em>
      </h2>
      {made !== undefined && (
        <p>
          It says{' '}
          {locked ? (
            <b>{on?.words}</b>
          ) : (
            <TextValue
              label="What it says"
              value={on?.words ?? made}
              most={4000}
              lines
              onTake={words =>
                set('Reword', () => (words === made ? { words: undefined, was: undefined } : { words, was: made }))
              }
            />
          )}
          {done?.words !== undefined && (
            <Reworded
              made={made}
              was={done.was}
              onBack={() => void set('Reword', () => ({ words: undefined, was: undefined }))}
            />
          )}
        </p>
      )}
      <p>
        Moved {number('To the right', 'x')} to the right and {number('Down', 'y')} down, at {number('Size', 'size')} of
        its size.
      </p>
      <p>
        It is{' '}
        <ChoiceValue
          label="Shown or left out"
          value={done?.hidden ? 'out' : 'shown'}
          choices={[
            { value: 'shown', words: 'shown' },
            { value: 'out', words: 'left out' },
          ]}
          onChange={v => {
            void set('Show', () => (v === 'out' ? { hidden: true } : { hidden: undefined }), false)
            if (v === 'out') onLeave()
          }}
        />{' '}
        and{' '}
        <ChoiceValue
          label="Free or locked"
          value={locked ? 'locked' : 'free'}
          choices={[
            { value: 'free', words: 'free to be moved' },
            { value: 'locked', words: 'locked' },
          ]}
          onChange={v => void set('Lock', () => (v === 'locked' ? { locked: true } : { locked: undefined }), false)}
        />
        , called{' '}
        <TextValue
          label="What it is called"
          value={called(piece)}
          most={80}
          onTake={name => set('Name', () => (name ? { name } : { name: undefined }))}
        />
        .
      </p>
      <PieceWays inHand={inHand} piece={piece} onLeave={onLeave}>
        {done && !locked && (
          <Button
            size="small"
            type="link"
            onClick={() =>
              void set('As made:', () => ({ x: 0, y: 0, size: 1, words: undefined, was: undefined }), false)
            }
          >
            As made
          </Button>
        )}
      </PieceWays>
    </section>
  )
}

/** What stands there without the author's words, and whether it changed since they were written. */
function Reworded({ made, was, onBack }: { made: string; was: string | undefined; onBack: () => void }) {
  return (
    <>
      {' '}
      {was === undefined || was === made ? (
        <>Its page would say “{made}”.</>
      ) : (
        <span role="alert">
          It said “{was}” when you reworded it; made anew, its page would say “{made}”. Your words stand.
        </span>
      )}{' '}
      <Button size="small" type="link" onClick={onBack}>
        Say that
      </Button>
    </>
  )
}
