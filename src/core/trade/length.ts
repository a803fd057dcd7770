/** Lengths. The house unit is the PDF point; everything that people type or read passes through here. */

export const IN = 72
export const MM = 72 / 25.4

export type LengthUnit = 'in' | 'mm' | 'cm' | 'pt'

const factor: Record<LengthUnit, number> = { in: IN, mm: MM, cm: MM * 10, pt: 1 }

/** The longest length that makes sense anywhere in the product: 10 ft. */
export const LONGEST = 120 * IN

/** Reads "0.28in", "3 mm", "12pt"; a bare number takes `unit`. Returns points, or undefined where it is no length. */
export function parseLength(text: string, unit?: LengthUnit): number | undefined {
  const m = /^\s*(\d+(?:[.,]\d+)?)\s*(in|mm|cm|pt|["”])?\s*$/i.exec(text)
  if (!m) return undefined
  const named = m[2] === '"' || m[2] === '”' ? 'in' : (m[2]?.toLowerCase() as LengthUnit | undefined)
  const u = named ?? unit
  if (!u) return undefined
  const points = Number(m[1]!.replace(',', '.')) * factor[u]
  return Number.isFinite(points) && points <= LONGEST ? points : undefined
}

/** Writes points in a unit with at most `digits` decimals and no trailing zeros: 18 -> "0.25 in". */
export function formatLength(points: number, unit: LengthUnit, digits = unit === 'in' ? 3 : 2): string {
  return `${trimZeros((points / factor[unit]).toFixed(digits))} ${unit}`
}

/** Points to a bare number in a unit. */
export const inUnit = (points: number, unit: LengthUnit): number => points / factor[unit]

/** "6.000" -> "6", "5.50" -> "5.5". */
export const trimZeros = (n: string): string => (n.includes('.') ? n.replace(/\.?0+$/, '') : n)
