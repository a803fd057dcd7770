'use client'
import { Button, Checkbox, ColorPicker, InputNumber, Segmented, Select } from 'antd'
import dynamic from 'next/dynamic'
import { useSearchParams } from 'next/navigation'
import { useState } from 'react'
import { type CoverDesign, type CoverPiece, type Field, sheetSize, shippedDesigns } from '@/core/cover'
import { inUnit } from '@/core/trade'
import { lengthField, showLength, showSize } from '@/parts/lengths'
import { bringInPicture, pictureTypes } from '@/data/pictures'
import { BookTop, NoBook } from '@/parts/BookTop'
import { Sill, sillOf } from '@/parts/Sill'
import { useOpenBook } from '@/parts/useOpenBook'
import { FilePick } from '@/parts/FilePick'
import { useCommit } from '@/parts/useCommit'
import { usePress } from '@/parts/usePress'
import { useSize } from '@/parts/useSize'
import type { CoverView } from '@/workers/answers/covers'
import { boxInZone, boxOnFlat, sizeFor, zoneFor } from './boxes'
import './cover.css'
import { useSay } from '@/parts/useSay'

// The stage draws on a canvas and is only wanted here, in a browser.
const FlatStage = dynamic(() => import('./FlatStage').then(m => m.FlatStage), { ssr: false })

const faces = [
  ['fraunces/bold', 'Fraunces, bold'],
  ['fraunces/regular', 'Fraunces'],
  ['figtree/bold', 'Figtree, bold'],
  ['figtree/regular', 'Figtree'],
  ['eb-garamond/regular', 'EB Garamond'],
  ['eb-garamond/italic', 'EB Garamond, italic'],
  ['eb-garamond/bold', 'EB Garamond, bold'],
  ['source-serif/regular', 'Source Serif'],
  ['source-serif/italic', 'Source Serif, italic'],
].map(([value, label]) => ({ value: value!, label: label! }))
const fields: Record<Field, string> = {
  title: 'Title',
  subtitle: 'Subtitle',
  author: 'Author',
  series: 'Series',
  imprint: 'Imprint',
  description: 'Description',
}
const panels: Record<CoverPiece['panel'], string> = { front: 'front', back: 'back', spine: 'spine' }
const motifs: Record<CoverDesign['motif']['kind'], string> = {
  'tide and lamp': 'Tide and lamp',
  rows: 'Rows',
  plain: 'Plain ground',
}

/** The cover: the flat to scale, its pieces bound to fields of the book, refitted when the spine moves. */
export function CoverRoom({ bookId }: { bookId: string }) {
  const view = useOpenBook(bookId, false, 'print')
  const { book, edition, outletId, figures } = view
  const [shown, setShown] = useState<'flat' | 'front' | 'thumbnail'>('flat')
  const [zones, setZones] = useState(true)
  const askedPiece = useSearchParams().get('piece')
  const [chosen, setChosen] = useState<string | undefined>(askedPiece ?? undefined)
  const [stage, room] = useSize<HTMLDivElement>()
  const commit = useCommit(bookId)
  const say = useSay()
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

  const bringPicture = async (file: File): Promise<void> => {
    try {
      if (design)
        await bringInPicture(bookId, file, (r, asset) => ({
          cover: { ...(r.cover ?? design), picture: { asset: asset.id, over: 'front' } },
        }))
    } catch (e) {
      say.failed(e)
    }
  }
  const nudge = (e: React.KeyboardEvent): void => {
    const step = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[e.key] as
      [number, number] | undefined
    const zone = piece && cover && zoneFor(cover.flat, piece.panel)
    if (!step || !piece || !zone) return
    e.preventDefault()
    const by = e.shiftKey ? 10 : 1
    const on = boxOnFlat(cover.flat, piece)!
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
                <h2>Ground</h2>
                <label className="row">
                  Design{' '}
                  <Select
                    size="small"
                    aria-label="Design"
                    value={shippedDesigns.some(d => d.id === design.id) ? design.id : undefined}
                    placeholder="own"
                    disabled={readOnly}
                    options={shippedDesigns.map(d => ({ value: d.id, label: d.name }))}
                    onChange={id =>
                      change('Design', d => ({
                        ...shippedDesigns.find(x => x.id === id)!,
                        ...(d.picture ? { picture: d.picture } : {}),
                      }))
                    }
                  />
                </label>
                <label className="row">
                  Ornament{' '}
                  <Select
                    size="small"
                    aria-label="Ornament"
                    value={design.motif.kind}
                    disabled={readOnly}
                    options={Object.entries(motifs).map(([value, label]) => ({
                      value: value as CoverDesign['motif']['kind'],
                      label,
                    }))}
                    onChange={kind => change('Ornament', d => ({ ...d, motif: { ...d.motif, kind } }))}
                  />
                </label>
                <div className="colours">
                  <Tint
                    label="Ground"
                    value={design.ground.colour}
                    disabled={readOnly}
                    onTake={c => change('Ground colour', d => ({ ...d, ground: { ...d.ground, colour: c } }))}
                  />
                  <Tint
                    label="Light"
                    value={design.motif.light}
                    disabled={readOnly}
                    onTake={c => change('Light of the ornament', d => ({ ...d, motif: { ...d.motif, light: c } }))}
                  />
                  <Tint
                    label="Accent"
                    value={design.motif.accent}
                    disabled={readOnly}
                    onTake={c => change('Accent of the ornament', d => ({ ...d, motif: { ...d.motif, accent: c } }))}
                  />
                </div>
                <div className="row">
                  Picture
                  {design.picture ? (
                    <span>
                      <Select
                        size="small"
                        aria-label="Picture covers"
                        value={design.picture.over}
                        disabled={readOnly}
                        options={[
                          { value: 'front' as const, label: 'over the front' },
                          { value: 'sheet' as const, label: 'over the whole sheet' },
                        ]}
                        onChange={over => change('Picture’s area', d => ({ ...d, picture: { ...d.picture!, over } }))}
                      />
                      <Button
                        size="small"
                        type="text"
                        disabled={readOnly}
                        onClick={() => change('Take the picture away', ({ picture: _p, ...d }) => d)}
                      >
                        Remove
                      </Button>
                    </span>
                  ) : (
                    <FilePick
                      label="Cover picture file"
                      accept={pictureTypes}
                      onPick={([file]) => void bringPicture(file!)}
                    >
                      {pick => (
                        <Button size="small" disabled={readOnly} onClick={pick}>
                          Bring one in
                        </Button>
                      )}
                    </FilePick>
                  )}
                </div>
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

const clamp = (v: number, most: number): number => Math.max(0, Math.min(most, v))

/** Measures along the flat's upper edge: back, spine, front. */
function Measures({ cover, scale }: { cover: CoverView; scale: number }) {
  const { flat } = cover
  const spine = flat.panels.spine.width
  return (
    <div className="measures" aria-hidden>
      <span style={{ marginLeft: flat.bleed.left * scale, width: flat.panels.back.width * scale }}>
        <b>back {showLength(flat.panels.back.width, 2)}</b>
      </span>
      {spine > 0 && (
        <span className="spine" style={{ width: spine * scale }}>
          <b>spine {showLength(spine)}</b>
        </span>
      )}
      <span style={{ width: flat.panels.front.width * scale }}>
        <b>front {showLength(flat.panels.front.width, 2)}</b>
      </span>
    </div>
  )
}

/** The front as it is cut, or as small as shops show it among others. */
function FrontView({ front, thumbnail, title }: { front: ImageBitmap; thumbnail: boolean; title: string }) {
  const draw =
    (height: number) =>
    (c: HTMLCanvasElement | null): void => {
      if (!c) return
      c.height = Math.round(height * Math.min(2, devicePixelRatio || 1))
      c.width = Math.round((c.height * front.width) / front.height)
      c.style.height = `${height}px`
      c.getContext('2d')!.drawImage(front, 0, 0, c.width, c.height)
    }
  if (!thumbnail)
    return <canvas key="front" ref={draw(560)} className="front" role="img" aria-label={`Front of ${title}`} />
  return (
    <div className="thumbs">
      {[60, 110, 180].map(h => (
        <figure key={h}>
          <canvas ref={draw(h)} role="img" aria-label={`Front of ${title}, ${h} pixels high`} />
          <figcaption>{h} px</figcaption>
        </figure>
      ))}
      <p>As small as a shop’s list shows it. Can the title be read at 110?</p>
    </div>
  )
}

function Tint({
  label,
  value,
  disabled,
  onTake,
}: {
  label: string
  value: string
  disabled: boolean
  onTake: (hex: string) => void
}) {
  return (
    <span className="tint">
      <ColorPicker value={value} disabled={disabled} disabledAlpha onChangeComplete={c => onTake(c.toHexString())}>
        <button
          type="button"
          className="swatch"
          disabled={disabled}
          aria-label={`${label}: ${value}`}
          style={{ background: value }}
        />
      </ColorPicker>{' '}
      {label}
    </span>
  )
}

function PieceValues({
  piece,
  cover,
  disabled,
  onChange,
}: {
  piece: CoverPiece
  cover: CoverView
  disabled: boolean
  onChange: (label: string, patch: Partial<CoverPiece>, merge?: boolean) => void
}) {
  const zone = zoneFor(cover.flat, piece.panel)
  const set = cover.pieces.find(p => p.id === piece.id)
  const along = piece.panel === 'spine'
  const up = along && cover.flat.spineReads === 'up'
  const length = (key: 'x' | 'y' | 'width' | 'height', label: string) => {
    if (!zone) return null
    const size = sizeFor(zone, piece.panel)
    const whole = key === 'x' || key === 'width' ? size.width : size.height
    const { unit, step, digits } = lengthField(0.05)
    return (
      <label className="num">
        {label}
        <InputNumber
          size="small"
          aria-label={`${label}, ${unit === 'mm' ? 'millimetres' : 'inches'}`}
          disabled={disabled}
          min={0}
          max={inUnit(whole, unit)}
          step={step}
          precision={digits}
          value={Number(inUnit(piece.box[key] * whole, unit).toFixed(digits))}
          onChange={v =>
            v !== null &&
            onChange(
              `${label} of the ${piece.field}`,
              { box: fitted({ ...piece.box, [key]: v / inUnit(whole, unit) }) },
              true,
            )
          }
          suffix={unit}
        />
      </label>
    )
  }
  return (
    <section className="piece" aria-label={`${fields[piece.field]} on the ${piece.panel}`}>
      {!zone && <p className="none">This spine is too thin to carry text.</p>}
      {set && (
        <p className="none">
          Set at {set.size.toFixed(1)} pt
          {set.tooLong ? ': too long for its box' : set.size < piece.size - 0.1 ? ', made smaller to fit its box' : ''}.
        </p>
      )}
      <div className="nums">
        {length('x', along ? (up ? 'Up' : 'Down') : 'From left')}
        {length('y', along ? 'Across' : 'From top')}
        {length('width', along ? 'Length' : 'Width')}
        {length('height', along ? 'Thickness' : 'Height')}
      </div>
      <div className="nums">
        <label className="num">
          Size
          <InputNumber
            size="small"
            aria-label="Largest size, points"
            disabled={disabled}
            min={6}
            max={160}
            step={1}
            value={piece.size}
            onChange={v => v !== null && onChange(`Size of the ${piece.field} ${v}`, { size: v }, true)}
            suffix="pt"
          />
        </label>
        <label className="num">
          Leading
          <InputNumber
            size="small"
            aria-label="Leading"
            disabled={disabled}
            min={0.9}
            max={2}
            step={0.05}
            value={piece.leading}
            onChange={v => v !== null && onChange(`Leading of the ${piece.field} ${v}`, { leading: v }, true)}
            suffix="×"
          />
        </label>
      </div>
      <label className="row">
        Face{' '}
        <Select
          size="small"
          aria-label="Face"
          value={piece.face}
          disabled={disabled}
          options={faces}
          onChange={face => onChange(`Face of the ${piece.field}`, { face })}
        />
      </label>
      <label className="row">
        Stands{' '}
        <Select
          size="small"
          aria-label="Alignment"
          value={piece.align}
          disabled={disabled}
          options={[
            { value: 'left' as const, label: 'left' },
            { value: 'center' as const, label: 'centred' },
            { value: 'right' as const, label: 'right' },
          ]}
          onChange={align => onChange(`Alignment of the ${piece.field}`, { align })}
        />
      </label>
      <div className="row">
        <Tint
          label="Colour"
          value={piece.colour}
          disabled={disabled}
          onTake={colour => onChange(`Colour of the ${piece.field}`, { colour })}
        />
        <Checkbox
          checked={piece.capitals}
          disabled={disabled}
          onChange={e => onChange(`Capitals of the ${piece.field}`, { capitals: e.target.checked })}
        >
          capitals
        </Checkbox>
      </div>
    </section>
  )
}

const fitted = (b: CoverPiece['box']): CoverPiece['box'] => {
  const width = Math.max(0.02, Math.min(1, b.width))
  const height = Math.max(0.02, Math.min(1, b.height))
  return { width, height, x: clamp(b.x, 1 - width), y: clamp(b.y, 1 - height) }
}
