import type { Room } from './kind'

/** Between things that share a page, wider on a wide page; points. */
export const gapOf = (width: number): number => Math.max(14, width * 0.045)

/** Where one of several things on a page stands, points. */
export interface Cell extends Room {
  x: number
  y: number
}

/** Boxes for several things of one shape on a page, rows from the left: as many beside each other as leaves each the most room. `over`: kept free over each, points; `ratio`: width by height. */
export function cellsOf(
  count: number,
  { width, height }: Room,
  { over, ratio }: { over: number; ratio: number },
): Cell[] {
  const gap = gapOf(width)
  const sized = (across: number): Room & { across: number; side: number } => {
    const down = Math.ceil(count / across)
    const [w, h] = [(width - (across - 1) * gap) / across, (height - (down - 1) * gap) / down]
    return { across, width: w, height: h, side: Math.min(w, (h - over) * ratio) }
  }
  let best = sized(1)
  for (let across = 2; across <= count; across++) {
    const next = sized(across)
    if (next.side > best.side) best = next
  }
  return Array.from({ length: count }, (_, i) => ({
    x: (i % best.across) * (best.width + gap),
    y: Math.floor(i / best.across) * (best.height + gap),
    width: best.width,
    height: best.height,
  }))
}
