import { Gap, type Paragraph } from './paragraph'
import type { Frag } from './textStyle'

/** Parts pieces that are wider than a line (addresses, rows of signs) between characters, so that nothing overflows. */
export function splitLong(p: Paragraph, measure: number): Paragraph {
  if (!p.boxWidth.some(w => w > measure)) return p
  const out: Paragraph = {
    frags: [],
    boxStart: [],
    gap: [],
    glue: [],
    boxWidth: [],
    boxEms: [],
    notes: [],
    missing: p.missing,
    borrowed: p.borrowed,
  }
  const boxAt: number[] = []
  for (let i = 0; i < p.gap.length; i++) {
    const frags = p.frags.slice(p.boxStart[i]!, p.boxStart[i + 1]!)
    const pieces: Frag[][] = []
    if (p.boxWidth[i]! <= measure) pieces.push(frags)
    else {
      let w = Infinity
      for (const f of frags)
        for (const part of chunks(f, measure * 0.98)) {
          if (w + part.width > measure * 0.98) {
            pieces.push([])
            w = 0
          }
          pieces[pieces.length - 1]!.push(part)
          w += part.width
        }
    }
    pieces.forEach((piece, k) => {
      out.boxStart.push(out.frags.length)
      out.frags.push(...piece)
      out.boxWidth.push(piece.reduce((s, f) => s + f.width, 0))
      out.boxEms.push(piece.reduce((s, f) => s + f.ems, 0))
      const last = k === pieces.length - 1
      out.gap.push(last ? p.gap[i]! : Gap.none)
      out.glue.push(last ? p.glue[i]! : 0)
    })
    boxAt.push(out.gap.length - 1)
  }
  out.boxStart.push(out.frags.length)
  for (const n of p.notes) out.notes.push({ ...n, box: boxAt[n.box]! })
  return out
}

/** A piece in parts no wider than `room`: whole words' worth of characters each. */
function chunks(f: Frag, room: number): Frag[] {
  if (f.width <= room || f.drawn) return [f]
  const out: Frag[] = []
  let rest = [...f.text]
  while (rest.length) {
    // Guess from the average width, then step down: few tries even for very long strings.
    let k = Math.max(1, Math.min(rest.length, Math.floor((room / f.width) * f.text.length)))
    let part = f.style.frag(rest.slice(0, k).join(''))
    while (k > 1 && part.width > room)
      part = f.style.frag(rest.slice(0, (k = Math.max(1, Math.floor(k * 0.9)))).join(''))
    out.push(part)
    rest = rest.slice(k)
  }
  return out
}
