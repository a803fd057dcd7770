'use client'
import { type RefObject, useLayoutEffect, useState } from 'react'
import type { Rect } from '@/core/cover'

/** A hairline ends so far before what it leads to, pixels. */
const CLEAR = 3

/** The hairline from the sentence of the chosen piece to the piece on the flat, as a path over the room; undefined where either is out of sight. */
export function useHairline(
  bench: RefObject<HTMLDivElement | null>,
  {
    box,
    scale,
    anew,
  }: {
    /** Of the piece on the sheet, points from its upper left corner with the bleed. */
    box: Rect | undefined
    /** Pixels a point. */
    scale: number
    /** Whatever moves the sentence. */
    anew: unknown
  },
): string | undefined {
  const [line, setLine] = useState<string>()
  const { x, y, width, height } = box ?? {}
  useLayoutEffect(() => {
    const room = bench.current
    const side = room?.querySelector('.values')
    const look = (): void => {
      const said = room?.querySelector('#said-piece')?.getBoundingClientRect()
      const sheet = room?.querySelector('.sheet')?.getBoundingClientRect()
      const frame = side?.getBoundingClientRect()
      if (!room || !said || !sheet || !frame || x === undefined || y === undefined) return setLine(undefined)
      const b = room.getBoundingClientRect()
      const fromY = said.top + 14
      // Below the stage, on a small screen, there is nothing beside which it stands.
      if (fromY < frame.top || fromY > frame.bottom || frame.left <= sheet.left) return setLine(undefined)
      const toX = sheet.left + (x + (width ?? 0)) * scale + CLEAR
      const toY = sheet.top + (y + (height ?? 0) / 2) * scale
      const bend = frame.left - 10
      setLine(`M${said.left - b.left} ${fromY - b.top}H${bend - b.left}V${toY - b.top}H${toX - b.left}`)
    }
    look()
    side?.addEventListener('scroll', look, { passive: true })
    return () => side?.removeEventListener('scroll', look)
  }, [bench, x, y, width, height, scale, anew])
  return line
}
