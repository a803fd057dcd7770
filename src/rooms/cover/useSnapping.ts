'use client'
import Konva from 'konva'
import { type RefObject, useMemo } from 'react'
import { boxOnFlat, type CoverDesign, type Flat, nameOf, type Rect, snapLines, snapped } from '@/core/cover'
import { showLength } from '@/parts/lengths'

/** How near a line takes hold, pixels on the screen. */
const REACH = 6
const GUIDE = '#ffd27a'

/** What is dragged holds on to lines of the flat and of other pieces; which, and how far it stands from the edges, is drawn while it is moved. */
export function useSnapping(
  { flat, design, scale, held }: { flat: Flat; design: CoverDesign; scale: number; held: readonly string[] },
  guides: RefObject<Konva.Group | null>,
) {
  // Only what stays where it is: what is moved does not hold on to itself.
  const lines = useMemo(
    () =>
      snapLines(
        flat,
        design.pieces
          .filter(p => !held.includes(p.id))
          .flatMap(p => {
            const rect = boxOnFlat(flat, p)
            return rect ? [{ name: `the ${nameOf(p)}`, rect }] : []
          }),
      ),
    [flat, design, held],
  )
  const { bleed } = flat
  const clear = (): void => {
    guides.current?.destroyChildren()
    guides.current?.getLayer()?.batchDraw()
  }
  /** Where a box that was dragged to comes to stand; `free`: nothing takes hold. Draws what it holds on to. */
  const hold = (rect: Rect, free: boolean): void => {
    const group = guides.current
    if (!group) return
    const at = free ? { rect } : snapped(rect, lines, REACH / scale)
    group.destroyChildren()
    const px = (v: number, by: number): number => (v + by) * scale
    const height = (flat.height + bleed.top + bleed.bottom) * scale
    const width = (flat.width + bleed.left + bleed.right) * scale
    const line = (points: number[]): void =>
      void group.add(new Konva.Line({ points, stroke: GUIDE, strokeWidth: 1, dash: [4, 3], listening: false }))
    if (at.x) line([px(at.x.at, bleed.left), 0, px(at.x.at, bleed.left), height])
    if (at.y) line([0, px(at.y.at, bleed.top), width, px(at.y.at, bleed.top)])
    // Said as its author places it: from the edges of the panel that it is on.
    const middle = at.rect.x + at.rect.width / 2
    const panel = Object.values(flat.panels).find(p => middle >= p.x && middle < p.x + p.width)
    const said = [
      `${showLength(at.rect.x - (panel?.x ?? 0), 2)} from the left, ${showLength(at.rect.y, 2)} from the top`,
      ...new Set([at.x?.of, at.y?.of].filter(s => s !== undefined)),
    ].join(' · ')
    const label = new Konva.Label({ listening: false })
    label.add(new Konva.Tag({ fill: 'rgba(15, 39, 48, 0.88)', cornerRadius: 3 }))
    label.add(
      new Konva.Text({
        text: said,
        fontFamily: 'Figtree Variable, sans-serif',
        fontSize: 12,
        padding: 5,
        fill: '#fffefb',
      }),
    )
    const beside = (v: number, room: number): number => Math.max(2, Math.min(v, room))
    label.position({
      x: beside(px(at.rect.x, bleed.left), width - label.width() - 2),
      y: beside(px(at.rect.y + at.rect.height, bleed.top) + 10, height - label.height() - 2),
    })
    group.add(label)
    group.getLayer()?.batchDraw()
  }
  const land = (rect: Rect, free: boolean): Rect => (free ? rect : snapped(rect, lines, REACH / scale).rect)
  return { hold, land, clear }
}
