'use client'
import { type PointerEvent, useEffect, useRef, useState } from 'react'
import { type Asset, BRUSH, type BrushStroke, type PicturePiece } from '@/core/book'
import { treatedFrom } from '@/core/cover'
import { ActValue } from '@/parts/ActValue'
import { ChoiceValue, NumberValue } from '@/parts/Sentence'
import { usePress } from '@/parts/usePress'
import { useSize } from '@/parts/useSize'
import { called, type ChangePiece } from './coverChanges'

const PERCENT = { factor: 100, step: 1, digits: 1, unit: '%' }
/** Nearer to each other than this, in parts of the picture, points of a stroke are one. */
const NEAR = 0.002

/** A picture whose ground is cut out, large, and a brush that says otherwise: what it touches stays, or goes. */
export function CutBrush({
  piece,
  asset,
  onChange,
  onDone,
}: {
  piece: PicturePiece
  asset: Asset
  onChange: ChangePiece<PicturePiece>
  onDone: () => void
}) {
  const here = useRef<HTMLDivElement>(null)
  // On a narrow screen the picture is far above what asked for it.
  useEffect(() => void here.current?.scrollIntoView({ block: 'nearest' }), [])
  const [keeps, setKeeps] = useState(false)
  const [radius, setRadius] = useState(0.03)
  const [room, size] = useSize<HTMLDivElement>()
  // Who says the piece has it made: here its being made is waited for.
  const cutting = treatedFrom(asset, piece) === undefined
  const scale = size.width ? Math.min(size.width / asset.width, (size.height - 4) / asset.height) : 0
  const [width, height] = [Math.round(asset.width * scale), Math.round(asset.height * scale)]
  const { cut } = piece
  const strokes = cut?.strokes ?? []
  const put = (next: BrushStroke[]): void =>
    onChange(`Correct the ${called(piece)} by hand`, { cut: { ...cut!, strokes: next } })
  return (
    <div ref={here} className="brushing" role="group" aria-label="Correct what was cut out">
      <p>
        What the brush touches{' '}
        <ChoiceValue
          label="What the brush touches"
          value={keeps ? 'stays' : 'goes'}
          choices={[
            { value: 'goes', words: 'goes' },
            { value: 'stays', words: 'stays' },
          ]}
          onChange={v => setKeeps(v === 'stays')}
        />
        ; it is{' '}
        <NumberValue
          label="Width of the brush"
          value={radius * 2}
          least={0.002}
          most={0.5}
          form={PERCENT}
          onChange={v => setRadius(v / 2)}
        />{' '}
        of the picture wide.{' '}
        {strokes.length > 0 && (
          <>
            <ActValue words="Take the last stroke back" onAct={() => put(strokes.slice(0, -1))} /> ·{' '}
          </>
        )}
        <ActValue words="Done" onAct={onDone} />
        {strokes.length >= BRUSH.strokes && ' More strokes than these are not kept.'}
        {cutting && <span role="status"> Cutting …</span>}
      </p>
      <div className="sheetroom" ref={room}>
        {width > 0 && height > 0 && (
          <Sheet
            {...{ piece, asset, width, height, keeps, radius }}
            onStroke={points => strokes.length < BRUSH.strokes && put([...strokes, { points, radius, keeps }])}
          />
        )}
      </div>
    </div>
  )
}

/** The picture as it is cut, what is gone faint under it, and the stroke that is being drawn. */
function Sheet({
  piece,
  asset,
  width,
  height,
  keeps,
  radius,
  onStroke,
}: {
  piece: PicturePiece
  asset: Asset
  width: number
  height: number
  keeps: boolean
  radius: number
  onStroke: (points: BrushStroke['points']) => void
}) {
  const canvas = useRef<HTMLCanvasElement>(null)
  const points = useRef<BrushStroke['points']>([])
  const made = treatedFrom(asset, piece)
  const { answer } = usePress(
    async press => ({
      whole: await press.pictureAt(asset.id, width, height),
      cut: made === undefined ? undefined : await press.pictureAt(made, width, height),
    }),
    [asset.id, made, width, height],
  )
  useEffect(() => {
    const ctx = canvas.current?.getContext('2d')
    if (!ctx) return
    ctx.clearRect(0, 0, width, height)
    if (!answer) return
    ctx.globalAlpha = answer.cut ? 0.22 : 1
    ctx.drawImage(answer.whole, 0, 0)
    ctx.globalAlpha = 1
    if (answer.cut) ctx.drawImage(answer.cut, 0, 0)
  }, [answer, width, height])
  const at = (e: PointerEvent): [number, number] => {
    const box = e.currentTarget.getBoundingClientRect()
    const part = (v: number): number => Math.round(Math.max(0, Math.min(1, v)) * 1e4) / 1e4
    return [part((e.clientX - box.left) / box.width), part((e.clientY - box.top) / box.height)]
  }
  const drawTo = (from: [number, number], to: [number, number]): void => {
    const ctx = canvas.current?.getContext('2d')
    if (!ctx) return
    ctx.strokeStyle = keeps ? 'rgba(60, 132, 104, 0.55)' : 'rgba(168, 65, 42, 0.55)'
    ctx.lineWidth = radius * 2 * width
    ctx.lineCap = 'round'
    ctx.beginPath()
    ctx.moveTo(from[0] * width, from[1] * height)
    ctx.lineTo(to[0] * width, to[1] * height)
    ctx.stroke()
  }
  const begin = (e: PointerEvent): void => {
    e.currentTarget.setPointerCapture(e.pointerId)
    points.current = [at(e)]
    drawTo(at(e), at(e))
  }
  const go = (e: PointerEvent): void => {
    const last = points.current.at(-1)
    if (!last || points.current.length >= BRUSH.points) return
    const next = at(e)
    if (Math.hypot(next[0] - last[0], next[1] - last[1]) < NEAR) return
    drawTo(last, next)
    points.current.push(next)
  }
  const end = (): void => {
    if (points.current.length) onStroke(points.current)
    points.current = []
  }
  return (
    <canvas
      ref={canvas}
      width={width}
      height={height}
      aria-label="The picture: draw on it with the brush"
      onPointerDown={begin}
      onPointerMove={go}
      onPointerUp={end}
      onPointerCancel={end}
    />
  )
}
