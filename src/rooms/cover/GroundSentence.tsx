'use client'
import {
  type CoverDesign,
  designKind,
  type MotifColour,
  motifNames,
  motifs,
  type PaletteName,
  paletteNames,
  palettes,
  recoloured,
  shippedDesigns,
} from '@/core/cover'
import { bringInPicture, pictureTypes } from '@/data/pictures'
import { ActValue } from '@/parts/ActValue'
import { FilePick } from '@/parts/FilePick'
import { ChoiceValue, NumberValue, Sentence } from '@/parts/Sentence'
import { useSay } from '@/parts/useSay'
import { type ChangeDesign, redesigned } from './coverChanges'
import { Tint } from './Tint'

const SHARE = { factor: 100, step: 1, digits: 1, unit: '%' }
const PLAIN = { factor: 1, step: 1, digits: 2, unit: '' }

/** What lies under all pieces: the colour, what is drawn on it, a picture. */
export function GroundSentence({
  bookId,
  design,
  onChange,
}: {
  bookId: string
  design: CoverDesign
  onChange: ChangeDesign
}) {
  const { motif } = design
  const kind = motifs[motif.kind]!
  const set = (label: string, patch: Partial<CoverDesign['motif']>, merge = false): void =>
    onChange(label, d => ({ ...d, motif: { ...d.motif, ...patch } }), merge)
  return (
    <div className="said">
      <p>
        The design is{' '}
        <ChoiceValue
          label="Design"
          value={shippedDesigns.some(d => d.id === design.id) ? design.id : 'own'}
          choices={[
            ...shippedDesigns.map(d => ({ value: d.id, words: d.name })),
            ...(shippedDesigns.some(d => d.id === design.id) ? [] : [{ value: 'own', words: 'your own' }]),
          ]}
          onChange={id =>
            onChange('Design', d => {
              const next = shippedDesigns.find(x => x.id === id)
              return next ? redesigned(d, next) : d
            })
          }
        />
        {design.palette && (
          <>
            , in the colours{' '}
            <ChoiceValue
              label="Palette"
              value={design.palette}
              choices={palettesFor(design)}
              onChange={p => onChange('Palette', d => recoloured(d, p as PaletteName))}
            />
          </>
        )}
        , its ground{' '}
        <Tint
          label="Ground"
          value={design.ground.colour}
          onTake={colour => onChange('Ground colour', d => ({ ...d, ground: { ...d.ground, colour } }))}
        />
        .
      </p>
      <p>
        Drawn on it:{' '}
        <Sentence
          words={kind.says}
          value={name =>
            name === 'kind' ? (
              <ChoiceValue
                label="What is drawn on the ground"
                value={motif.kind}
                choices={motifNames.map(value => ({ value, words: motifs[value]!.name }))}
                onChange={k =>
                  onChange('What is drawn on the ground', d => ({ ...d, motif: { ...bare(d.motif), kind: k } }))
                }
              />
            ) : (
              <MotifValue name={name} of={motif} onChange={v => set(`Ground: ${name}`, v, true)} />
            )
          }
        />
        .
        {(Object.entries(kind.colours) as [MotifColour, string][]).map(([colour, what]) => (
          <span key={colour}>
            {' '}
            Its {what}{' '}
            <Tint label={what} value={motif[colour]} onTake={c => set(`Colour of the ${what}`, { [colour]: c })} />.
          </span>
        ))}
        {kind.scattered && (
          <>
            {' '}
            It fell so by chance:{' '}
            <span className="value">
              <button
                type="button"
                onClick={() => set('Let the ground fall anew', { seed: ((motif.seed ?? 1) % 999_983) + 1 })}
              >
                let it fall anew
              </button>
            </span>
            .
          </>
        )}
      </p>
      <GroundPicture bookId={bookId} design={design} onChange={onChange} />
    </div>
  )
}

/** Palettes, those that suit a design first. */
function palettesFor(design: CoverDesign): { value: string; words: string }[] {
  const suit: readonly PaletteName[] = designKind(design.id)?.palettes ?? []
  return [...suit, ...paletteNames.filter(p => !suit.includes(p))].map(value => ({
    value,
    words: palettes[value].name,
  }))
}

/** A number of a motif: a share of the front, or as it is. */
function MotifValue({
  name,
  of: { kind, values },
  onChange,
}: {
  name: string
  of: CoverDesign['motif']
  onChange: (patch: Pick<CoverDesign['motif'], 'values'>) => void
}) {
  const { least, most, usual, share } = motifs[kind]!.values[name]!
  return (
    <NumberValue
      label={name}
      value={values?.[name] ?? usual}
      least={least}
      most={most}
      form={share || most <= 2 ? SHARE : PLAIN}
      onChange={v => onChange({ values: { ...values, [name]: v } })}
    />
  )
}

/** What a motif keeps when it becomes another: its colours. */
const bare = ({ light, dark, accent }: CoverDesign['motif']) => ({ light, dark, accent })

/** The picture that covers the ground. */
function GroundPicture({ bookId, design, onChange }: { bookId: string; design: CoverDesign; onChange: ChangeDesign }) {
  const say = useSay()
  const bring = async (file: File): Promise<void> => {
    try {
      await bringInPicture(bookId, file, (r, asset) => ({
        cover: { ...(r.cover ?? design), picture: { asset: asset.id, over: 'front' } },
      }))
    } catch (e) {
      say.failed(e)
    }
  }
  return (
    <p>
      {design.picture ? (
        <>
          A picture covers{' '}
          <ChoiceValue
            label="Picture covers"
            value={design.picture.over}
            choices={[
              { value: 'front', words: 'the front' },
              { value: 'sheet', words: 'the whole sheet' },
            ]}
            onChange={over =>
              onChange('Picture’s area', d => ({
                ...d,
                picture: { ...d.picture!, over: over as 'front' | 'sheet' },
              }))
            }
          />
          ;{' '}
          <ActValue
            words="take it away"
            onAct={() => onChange('Take the picture away', ({ picture: _p, ...d }) => d)}
          />
          .
        </>
      ) : (
        <FilePick label="Cover picture file" accept={pictureTypes} onPick={([file]) => void bring(file!)}>
          {pick => (
            <>
              No picture covers it: <ActValue words="bring one in" onAct={pick} />.
            </>
          )}
        </FilePick>
      )}
    </p>
  )
}
