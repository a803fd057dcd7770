'use client'
import type Konva from 'konva'
import { useEffect, useRef } from 'react'
import { Layer, Rect, Stage, Transformer } from 'react-konva'
import type { PieceOn } from '@/core/activity'
import type { PlannedPage } from '@/workers/answers/hands'
import type { Hold, Reshape } from './holding'

/** A piece is at least so large to be taken hold of, pixels. */
const LEAST = 6

/** The pieces of an open spread, to be taken hold of where they stand: moved, and sized by their corners. `scale` is pixels a point. */
export function PieceStage({
  pages,
  left,
  page,
  scale,
  held,
  isFree,
  isPlaced,
  onHold,
  onReshape,
}: {
  pages: PlannedPage[]
  /** Index of the left page. */
  left: number
  /** Of a page, points. */
  page: { width: number; height: number }
  scale: number
  held: Hold | undefined
  isFree: (hold: Hold) => boolean
  /** The author placed it: its sides are free of each other. */
  isPlaced: (hold: Hold) => boolean
  onHold: (hold: Hold | undefined) => void
  onReshape: Reshape
}) {
  const transformer = useRef<Konva.Transformer>(null)
  const shapes = useRef(new Map<string, Konva.Rect>())
  const key = held?.piece === undefined ? undefined : `${held.index}/${held.piece}`
  useEffect(() => {
    const shape = key && held && isFree(held) ? shapes.current.get(key) : undefined
    transformer.current?.nodes(shape ? [shape] : [])
  })
  const boxOf = (index: number, p: PieceOn) => ({
    x: (p.x + (index === left ? 0 : page.width)) * scale,
    y: p.y * scale,
    width: Math.max(LEAST, p.width * scale),
    height: Math.max(LEAST, p.height * scale),
  })
  const reshaped = (hold: Hold, was: PieceOn, node: Konva.Node): void => {
    const now = {
      x: node.x() / scale - (hold.index === left ? 0 : page.width),
      y: node.y() / scale,
      width: (node.width() * node.scaleX()) / scale,
      height: (node.height() * node.scaleY()) / scale,
    }
    node.scale({ x: 1, y: 1 })
    onReshape(hold, was, now)
  }
  const cursor = (e: Konva.KonvaEventObject<MouseEvent>, to: string): void => {
    const stage = e.target.getStage()
    if (stage) stage.container().style.cursor = to
  }
  return (
    <Stage
      className="pieces"
      width={2 * page.width * scale}
      height={page.height * scale}
      onMouseDown={e => {
        if (e.target !== e.target.getStage()) return
        const x = e.target.getStage()!.getPointerPosition()?.x ?? 0
        const on = pages.find(p => p.index === (x < page.width * scale ? left : left + 1))
        onHold(on && { index: on.index })
      }}
    >
      <Layer>
        {pages.flatMap(({ index, pieces }) =>
          pieces.map(p => {
            const hold = { index, piece: p.piece }
            const id = `${index}/${p.piece}`
            const free = isFree(hold)
            return (
              <Rect
                key={id}
                ref={n => {
                  if (n) shapes.current.set(id, n)
                  else shapes.current.delete(id)
                }}
                {...boxOf(index, p)}
                stroke={key === id ? '#41606a' : 'transparent'}
                strokeWidth={1}
                dash={free ? undefined : [3, 3]}
                draggable={free && key === id}
                onMouseEnter={e => {
                  if (key !== id) (e.target as Konva.Rect).stroke('#a9977a')
                  cursor(e, free && key === id ? 'move' : 'pointer')
                }}
                onMouseLeave={e => {
                  if (key !== id) (e.target as Konva.Rect).stroke('transparent')
                  cursor(e, '')
                }}
                onMouseDown={() => onHold(hold)}
                onTap={() => onHold(hold)}
                onDragEnd={e => reshaped(hold, p, e.target)}
                onTransformEnd={e => reshaped(hold, p, e.target)}
              />
            )
          }),
        )}
        <Transformer
          ref={transformer}
          rotateEnabled={false}
          keepRatio={!(held && isPlaced(held))}
          enabledAnchors={held && isPlaced(held) ? undefined : ['top-left', 'top-right', 'bottom-left', 'bottom-right']}
          borderStroke="#41606a"
          anchorStroke="#15343d"
          anchorFill="#fffefb"
          anchorSize={8}
          anchorCornerRadius={4}
          flipEnabled={false}
        />
      </Layer>
    </Stage>
  )
}
