'use client'
import { fadeSides, type PicturePiece, type PictureTone } from '@/core/book'
import { ChoiceValue, NumberValue } from '@/parts/Sentence'
import { called, type ChangePiece } from './coverChanges'
import { Tint } from './Tint'

const PERCENT = { factor: 100, step: 5, digits: 0, unit: '%' }
const FINE = { factor: 100, step: 0.1, digits: 1, unit: '%' }
const TWO = { dark: '#15343d', light: '#fffefb' }

const toward: Record<(typeof fadeSides)[number], string> = {
  head: 'toward its head',
  foot: 'toward its foot',
  left: 'to its left',
  right: 'to its right',
  'all sides': 'to all sides',
}

/** Without what is as it was. */
function left(tone: { [K in keyof PictureTone]?: PictureTone[K] | undefined }): PictureTone | undefined {
  const said = Object.entries(tone).filter(([, v]) => v !== undefined && v !== 0)
  return said.length ? (Object.fromEntries(said) as PictureTone) : undefined
}

/** A picture's colours and light, and where it goes over into nothing. */
export function ToneSentence({ piece, onChange }: { piece: PicturePiece; onChange: ChangePiece<PicturePiece> }) {
  const name = called(piece)
  const tone = piece.tone ?? {}
  const { colours, tint } = tone
  const set = (patch: { [K in keyof PictureTone]?: PictureTone[K] | undefined }, merge = true): void =>
    onChange(`Tones of the ${name}`, { tone: left({ ...tone, ...patch }) }, merge)
  const number = (
    key: 'light' | 'contrast' | 'warmth' | 'blur' | 'grain',
    words: string,
    [least, most]: [number, number],
  ) => (
    <NumberValue
      label={words}
      value={tone[key] ?? 0}
      least={least}
      most={most}
      form={key === 'blur' ? FINE : PERCENT}
      onChange={v => set({ [key]: v })}
    />
  )
  const two = typeof colours === 'object' ? colours : undefined
  return (
    <>
      <p>
        Its colours are{' '}
        <ChoiceValue
          label="Colours of the picture"
          value={two ? 'two' : colours === 'greys' ? 'greys' : 'kept'}
          choices={[
            { value: 'kept', words: 'kept' },
            { value: 'greys', words: 'greys' },
            { value: 'two', words: 'from one to another' },
          ]}
          onChange={v => set({ colours: v === 'greys' ? 'greys' : v === 'two' ? TWO : undefined }, false)}
        />
        {two && (
          <>
            , <Tint label="Its dark parts" value={two.dark} onTake={dark => set({ colours: { ...two, dark } })} /> to{' '}
            <Tint label="Its light parts" value={two.light} onTake={light => set({ colours: { ...two, light } })} />
          </>
        )}
        ; lighter by {number('light', 'Lighter by', [-1, 1])}, harder by {number('contrast', 'Harder by', [-1, 1])},
        warmer by {number('warmth', 'Warmer by', [-1, 1])}; blurred by {number('blur', 'Blurred by', [0, 0.05])},
        grained by {number('grain', 'Grained by', [0, 1])}, tinted by{' '}
        <NumberValue
          label="Tinted by"
          value={tint?.strength ?? 0}
          least={0}
          most={1}
          form={PERCENT}
          onChange={v => set({ tint: v ? { colour: tint?.colour ?? TWO.dark, strength: v } : undefined })}
        />
        {tint && (
          <>
            {' '}
            with <Tint label="Tint" value={tint.colour} onTake={colour => set({ tint: { ...tint, colour } })} />
          </>
        )}
        .
      </p>
      <p>
        It goes over into nothing{' '}
        <ChoiceValue
          label="Goes over into nothing"
          value={piece.fade?.toward ?? 'nowhere'}
          choices={[
            { value: 'nowhere', words: 'nowhere' },
            ...fadeSides.map(value => ({ value, words: toward[value] })),
          ]}
          onChange={v => {
            const side = fadeSides.find(s => s === v)
            onChange(`Fade the ${name}`, { fade: side && { toward: side, over: piece.fade?.over ?? 0.4 } })
          }}
        />
        {piece.fade && (
          <>
            , over{' '}
            <NumberValue
              label="Over how much of it"
              value={piece.fade.over}
              least={0.02}
              most={1}
              form={PERCENT}
              onChange={over => onChange(`Fade the ${name}`, { fade: { ...piece.fade!, over } }, true)}
            />{' '}
            of its box
          </>
        )}
        .
      </p>
    </>
  )
}
