'use client'
import { Button, Input } from 'antd'
import { useRef, useState } from 'react'
import { runName } from '@/core/activity'
import type { Run } from '@/core/book'
import type { ShapeGrid } from '@/core/puzzles'
import {
  emptyShape,
  type Laid,
  LIMITS,
  OWN,
  type OwnShape,
  plainTracing,
  type Tracing,
  withTurned,
} from '@/core/silhouettes'
import { shippedFamilies } from '@/core/type'
import { pictureTypes } from '@/data/pictures'
import { FilePick, type FilePicker } from '@/parts/FilePick'
import { ChoiceValue, NumberValue } from '@/parts/Sentence'
import { usePress } from '@/parts/usePress'
import { useSay } from '@/parts/useSay'
import { press } from '@/workers/client'
import type { ChangeRun } from './planChanges'

const PERCENT = { factor: 1, step: 5, digits: 0, unit: '%' }
/** A shape that is less like itself on its grid is said to be, and another grid is offered. */
const READS = 0.75
/** The face a word is traced in at first: its letters are full. */
const FIRST_FACE = 'figtree/bold'

const outlineOf = (run: Run): string => String(run.params.outline ?? 'none')
const ownOf = (run: Pick<Run, 'params'>): OwnShape => (run.params.own as OwnShape | undefined) ?? emptyShape

/** What a shape of the author's own was traced from, where the run has one. */
export function OwnShapeSaid({ run }: { run: Run }) {
  const own = ownOf(run)
  return outlineOf(run) === OWN && own.says ? <> (“{own.says}”)</> : null
}

interface Asked {
  outline: string
  own?: OwnShape
  sizes: { rows: number; cols: number }[]
}

/** How the outline of a run comes out on its grid; and where it is the author's own, what it is, where it lies, and its single cells. */
export function ShapeOf({ run, grids, onChange }: { run: Run; grids: readonly ShapeGrid[]; onChange: ChangeRun }) {
  const outline = outlineOf(run)
  const own = outline === OWN ? ownOf(run) : undefined
  // What says the same asks the same: values come anew with every change of the book.
  const asked = JSON.stringify({ outline, own, sizes: grids.map(({ rows, cols }) => ({ rows, cols })) })
  const { answer } = usePress(
    p => {
      const { outline, own, sizes } = JSON.parse(asked) as Asked
      return p.coverOn(outline, own, sizes)
    },
    [asked],
  )
  if (!answer) return null
  const change = (what: string, next: (own: OwnShape) => OwnShape, merge = true): void =>
    void onChange(`${what} of ${runName(run)}`, r => ({ params: { ...r.params, own: next(ownOf(r)) } }), merge)
  return (
    <div className="shape">
      {own && (
        <div>
          <Traced key={run.id} own={own} onChange={change} />
          {own.rings.length > 0 && <Placed own={own} onChange={change} />}
        </div>
      )}
      <Cells key={`${run.id} ${outline}`} own={own} grid={grids[0]!} laid={answer[0]!} onChange={change} />
      <Likeness
        grids={grids}
        laid={answer}
        drawn={!!own && !own.rings.length}
        onTake={values => void onChange(`Grid of ${runName(run)}`, r => ({ params: { ...r.params, ...values } }))}
      />
    </div>
  )
}

type ChangeShape = (what: string, next: (own: OwnShape) => OwnShape, merge?: boolean) => void

/** A new outline stands where the old one stood; cells that were turned by hand were the old one's. */
const moved =
  (to: OwnShape) =>
  (own: OwnShape): OwnShape => ({ ...to, scale: own.scale, right: own.right, down: own.down })

/** What a shape is traced from: a word in a face, or a picture. */
function Traced({ own, onChange }: { own: OwnShape; onChange: ChangeShape }) {
  const say = useSay()
  const pick = useRef<FilePicker>(null)
  const [draft, setDraft] = useState<string>()
  const [chosen, setChosen] = useState(FIRST_FACE)
  const face = own.face ?? chosen
  const [picture, setPicture] = useState<{ file: File; how: Tracing }>()
  const word = async (words: string, inFace: string): Promise<void> => {
    // The same word again would only take back what was mended by hand.
    if (words.trim() !== own.says || inFace !== own.face) {
      const shape = await press().shapeOfText(words, inFace)
      setPicture(undefined)
      onChange('Shape', moved(shape), false)
    }
    setDraft(undefined)
  }
  const trace = async (file: File, how: Tracing): Promise<void> => {
    const shape = await press().shapeOfPicture(file, how)
    setPicture({ file, how })
    onChange('Shape', moved(shape), false)
  }
  return (
    <p>
      It is the outline of{' '}
      <span className="value">
        <Input
          size="small"
          variant="borderless"
          aria-label="Word of the shape"
          placeholder="a word"
          maxLength={LIMITS.says}
          value={draft ?? (own.face ? own.says : '')}
          onChange={e => setDraft(e.target.value)}
          onBlur={() => draft?.trim() && void word(draft, face).catch(say.failed)}
          onPressEnter={e => e.currentTarget.blur()}
        />
      </span>{' '}
      in{' '}
      <ChoiceValue
        label="Face of the word"
        value={face}
        choices={faces}
        onChange={v => {
          setChosen(v)
          if (own.face) void word(draft ?? own.says, v).catch(say.failed)
        }}
      />
      , or of{' '}
      <Button size="small" onClick={() => pick.current?.open()}>
        {own.says && !own.face ? own.says : 'a picture …'}
      </Button>
      <FilePick
        ref={pick}
        label="Picture of the shape"
        accept={pictureTypes}
        onPick={([file]) => void trace(file!, picture?.how ?? plainTracing).catch(say.failed)}
      />
      {picture && <TracingSaid how={picture.how} onChange={how => void trace(picture.file, how).catch(say.failed)} />}.
    </p>
  )
}

const faces = Object.entries(shippedFamilies).flatMap(([id, { name, files }]) =>
  (['regular', 'bold'] as const)
    .filter(cut => files[cut])
    .map(cut => ({ value: `${id}/${cut}`, words: cut === 'bold' ? `${name} bold` : name })),
)

/** What of a picture is taken. */
function TracingSaid({ how, onChange }: { how: Tracing; onChange: (how: Tracing) => void }) {
  return (
    <>
      : what is{' '}
      <ChoiceValue
        label="What of the picture"
        value={how.by}
        choices={[
          { value: 'dark', words: 'dark' },
          { value: 'opaque', words: 'not clear' },
        ]}
        onChange={v => onChange({ ...how, by: v as Tracing['by'] })}
      />{' '}
      from{' '}
      <NumberValue
        label="From how much on"
        value={how.from}
        least={1}
        most={99}
        form={PERCENT}
        onChange={v => onChange({ ...how, from: v })}
      />{' '}
      on,{' '}
      <ChoiceValue
        label="Holes"
        value={how.holes ? 'kept' : 'filled'}
        choices={[
          { value: 'kept', words: 'with its holes' },
          { value: 'filled', words: 'filled' },
        ]}
        onChange={v => onChange({ ...how, holes: v === 'kept' })}
      />
      ,{' '}
      <ChoiceValue
        label="Parts"
        value={how.largest ? 'largest' : 'all'}
        choices={[
          { value: 'largest', words: 'its largest part only' },
          { value: 'all', words: 'all its parts' },
        ]}
        onChange={v => onChange({ ...how, largest: v === 'largest' })}
      />
    </>
  )
}

/** How large a shape is and where it lies. */
function Placed({ own, onChange }: { own: OwnShape; onChange: ChangeShape }) {
  const value = (name: 'scale' | 'right' | 'down', label: string, [least, most]: readonly [number, number]) => (
    <NumberValue
      label={label}
      value={own[name]}
      least={least}
      most={most}
      form={PERCENT}
      onChange={v => onChange(label, o => ({ ...o, [name]: v }))}
    />
  )
  const aside = [-LIMITS.moved, LIMITS.moved] as const
  return (
    <p>
      It stands {value('scale', 'Size of the shape', LIMITS.scale)} as large as it goes,{' '}
      {value('right', 'Shape to the right', aside)} of the grid to the right and{' '}
      {value('down', 'Shape downwards', aside)} down.
    </p>
  )
}

/** The cells of a shape on the grid of its run; those of the author's own are turned by a click. */
function Cells({
  own,
  grid: { rows, cols },
  laid: { cells },
  onChange,
}: {
  own: OwnShape | undefined
  grid: ShapeGrid
  laid: Laid
  onChange: ChangeShape
}) {
  const [mirrored, setMirrored] = useState(false)
  // An answer for the grid before this one is not drawn on it.
  if (cells.length !== rows * cols) return null
  const turn = (at: number): void => {
    const other = at - (at % cols) + cols - 1 - (at % cols)
    const both = mirrored ? [at, other] : [at]
    onChange('Cell of the shape', o => withTurned(o, { rows, cols, shown: cells }, both), false)
  }
  const path = Array.from(cells, (open, at) => (open ? `M${at % cols},${Math.floor(at / cols)}h1v1h-1z` : '')).join('')
  return (
    <>
      <svg
        className={own ? 'cells own' : 'cells'}
        viewBox={`0 0 ${cols} ${rows}`}
        preserveAspectRatio="xMinYMin"
        role="img"
        aria-label={`The shape on ${cols} by ${rows}`}
      >
        <rect width={cols} height={rows} />
        <path d={path} />
        {own &&
          Array.from(cells, (open, at) => (
            <rect
              key={at}
              className="cell"
              role="button"
              tabIndex={0}
              aria-label={`Row ${Math.floor(at / cols) + 1}, column ${(at % cols) + 1}`}
              aria-pressed={!!open}
              x={at % cols}
              y={Math.floor(at / cols)}
              width={1}
              height={1}
              onClick={() => turn(at)}
              onKeyDown={e => (e.key === 'Enter' || e.key === ' ') && (e.preventDefault(), turn(at))}
            />
          ))}
      </svg>
      {own && (
        <p>
          A click opens or closes a cell,{' '}
          <ChoiceValue
            label="Cells that are turned"
            value={mirrored ? 'both' : 'one'}
            choices={[
              { value: 'one', words: 'that one alone' },
              { value: 'both', words: 'with its mirror image' },
            ]}
            onChange={v => setMirrored(v === 'both')}
          />
          .{' '}
          {own.turned.some(t => t.cells.length) && (
            <Button size="small" onClick={() => onChange('Cells of the shape', o => ({ ...o, turned: [] }), false)}>
              {own.rings.length ? 'As it was traced' : 'Clear all cells'}
            </Button>
          )}
        </p>
      )}
    </>
  )
}

/** How like itself a shape is on its grid; where that is little, a grid on which it is more. */
function Likeness({
  grids,
  laid,
  drawn,
  onTake,
}: {
  grids: readonly ShapeGrid[]
  laid: readonly Laid[]
  drawn: boolean
  onTake: (values: object) => void
}) {
  if (drawn || laid.length !== grids.length) return null
  const said = ({ rows, cols }: ShapeGrid): string => `${cols} by ${rows}`
  const percent = (l: Laid): string => `${Math.round(l.alike * 100)} %`
  const now = laid[0]!.alike
  const better = grids.findIndex((_g, i) => i > 0 && laid[i]!.alike >= Math.max(READS, now + 0.03))
  return (
    <p>
      On {said(grids[0]!)} it is <b>{percent(laid[0]!)}</b> like itself
      {now < READS ? ': what is fine in it is lost.' : '.'}{' '}
      {now < READS && better > 0 && (
        <Button size="small" onClick={() => onTake(grids[better]!.values)}>
          Take {said(grids[better]!)}: {percent(laid[better]!)}
        </Button>
      )}
    </p>
  )
}
