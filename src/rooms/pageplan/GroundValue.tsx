'use client'
import { patternOf, patterns, PLAIN_REPEAT } from '@/core/activity'
import type { Asset, Ground } from '@/core/book'
import { pathData } from '@/core/marks'
import { ChoiceValue, NumberValue } from '@/parts/Sentence'
import { SeveralValue } from '@/parts/SeveralValue'
import { GroundPictures } from './GroundPictures'

const TONE = { factor: 100, step: 1, digits: 0, unit: '%' }
const REPEAT = { factor: 1, step: 1, digits: 0, unit: 'pt' }
/** What a ground begins with: a tone under everything, lines of a pattern, the darkest of a picture. */
const FIRST = { tone: 0.06, line: 0.14, picture: 0.25 }
/** A pattern as a swatch: its size and its repeat, pixels. */
const SWATCH = { width: 54, height: 22, repeat: 16 }

/** The ground of a leaf, as a part of a sentence: bare paper, a tone, patterns or pictures in turn. */
export function GroundValue({
  bookId,
  assets,
  label,
  ground,
  clear,
  onChange,
}: {
  bookId: string
  assets: Asset[]
  label: string
  ground: Ground | undefined
  /** Whether the room within the margins can be left clear. */
  clear: boolean
  onChange: (ground: Ground | undefined) => void
}) {
  'use memo'
  const kind = !ground ? 'paper' : ground.pictures ? 'picture' : ground.patterns?.length ? 'pattern' : 'tone'
  const choose = (now: string): void =>
    onChange(
      now === 'paper'
        ? undefined
        : now === 'tone'
          ? { tone: FIRST.tone, ...(ground?.clear && { clear: true }) }
          : now === 'picture'
            ? { tone: FIRST.picture, pictures: [], ...(clear && { clear: true }) }
            : { tone: FIRST.line, patterns: [patterns[0]!.id], ...(clear && { clear: true }) },
    )
  return (
    <>
      <ChoiceValue
        label={label}
        value={kind}
        choices={[
          { value: 'paper', words: 'bare paper' },
          { value: 'tone', words: 'a tone of' },
          { value: 'pattern', words: 'a pattern of' },
          { value: 'picture', words: 'pictures of mine:' },
        ]}
        onChange={choose}
      />
      {ground && (
        <>
          {' '}
          {kind === 'pattern' && <Patterns label={label} ground={ground} onChange={onChange} />}
          {kind === 'picture' && <GroundPictures {...{ bookId, assets, label, ground, onChange }} />}
          <NumberValue
            label={`Tone: ${label.toLowerCase()}`}
            value={ground.tone}
            least={0.01}
            most={1}
            form={TONE}
            onChange={tone => onChange({ ...ground, tone })}
          />
          {kind === 'picture' ? ' black, ' : ' '}
          over the edge
          {clear && (
            <>
              {', the page’s own room '}
              <ChoiceValue
                label={`Room: ${label.toLowerCase()}`}
                value={ground.clear ? 'clear' : 'under'}
                choices={[
                  { value: 'clear', words: 'left clear' },
                  { value: 'under', words: 'over it' },
                ]}
                onChange={v => {
                  const { clear: _was, ...rest } = ground
                  onChange(v === 'clear' ? { ...rest, clear: true } : rest)
                }}
              />
            </>
          )}
        </>
      )}
    </>
  )
}

/** Which patterns, a page each in turn, and how far they repeat. */
function Patterns({ label, ground, onChange }: { label: string; ground: Ground; onChange: (g: Ground) => void }) {
  'use memo'
  return (
    <>
      <SeveralValue
        label={`Patterns: ${label.toLowerCase()}`}
        none="none yet"
        value={ground.patterns ?? []}
        choices={patterns.map(p => ({ value: p.id, words: p.name }))}
        shown={(id, name) => (
          <span className="swatch">
            <Swatch id={id} /> {name}
          </span>
        )}
        onChange={now => now.length && onChange({ ...ground, patterns: now })}
      />
      {(ground.patterns?.length ?? 0) > 1 && ' in turn'}, again every{' '}
      <NumberValue
        label={`Repeat: ${label.toLowerCase()}`}
        value={ground.size ?? PLAIN_REPEAT}
        least={6}
        most={144}
        form={REPEAT}
        onChange={size => onChange({ ...ground, size })}
      />
      ,{' '}
    </>
  )
}

function Swatch({ id }: { id: string }) {
  const { width, height, repeat } = SWATCH
  const { path, across, down, shift, line } = patternOf(id)!.tile(repeat)
  const d = pathData(path)
  const rows = Math.ceil(height / down) + 1
  const columns = Math.ceil(width / across) + 2
  return (
    <svg width={width} height={height} viewBox={`0 0 ${width} ${height}`} aria-hidden>
      {Array.from({ length: rows * columns }, (_, i) => {
        const [row, column] = [Math.floor(i / columns), i % columns]
        const at = `translate(${(column - 0.5) * across + (row % 2 ? shift : 0)} ${row * down})`
        return (
          <path key={i} d={d} transform={at} {...(line ? { fill: 'none', strokeWidth: line } : { stroke: 'none' })} />
        )
      })}
    </svg>
  )
}
