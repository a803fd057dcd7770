import { child, elements, type XmlElement } from '../../../files'

/** A level of a list. */
export interface NumberingLevel {
  ordered: boolean
  start: number
  none: boolean
}

/** Lists by the number that paragraphs name, each with its levels. */
export function readNumbering(e: XmlElement | undefined): Map<string, NumberingLevel[]> {
  const abstracts = new Map<string, NumberingLevel[]>()
  const out = new Map<string, NumberingLevel[]>()
  for (const a of elements(e)) {
    if (a.name === 'w:abstractNum') {
      const levels: NumberingLevel[] = []
      for (const l of elements(a))
        if (l.name === 'w:lvl') {
          const format = child(l, 'w:numFmt')?.attrs['w:val'] ?? 'decimal'
          levels[small(l.attrs['w:ilvl'], 0)] = {
            ordered: format !== 'bullet',
            none: format === 'none',
            start: small(child(l, 'w:start')?.attrs['w:val'], 1),
          }
        }
      abstracts.set(a.attrs['w:abstractNumId'] ?? '', levels)
    } else if (a.name === 'w:num')
      out.set(a.attrs['w:numId'] ?? '', abstracts.get(child(a, 'w:abstractNumId')?.attrs['w:val'] ?? '') ?? [])
  }
  return out
}

/** A whole number of a file, kept within reason: files may say anything. */
export function small(v: string | undefined, or: number): number {
  const n = Math.trunc(Number(v))
  return Number.isFinite(n) && n >= 0 && n <= 99999 ? n : or
}
