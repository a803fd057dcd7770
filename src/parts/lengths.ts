import { inUnit } from '@/core/trade'
import { preferences } from './preferences'

/** A length (points) as the author likes it; `digits` for inches, millimetres take one less by two. */
export function showLength(pt: number, digits = 3): string {
  const { unit } = preferences()
  return `${inUnit(pt, unit).toFixed(unit === 'mm' ? Math.max(1, digits - 2) : digits)} ${unit}`
}

/** Width × height (points), the unit said once. */
export function showSize(width: number, height: number, digits = 3): string {
  const { unit } = preferences()
  const d = unit === 'mm' ? Math.max(1, digits - 2) : digits
  return `${inUnit(width, unit).toFixed(d)} × ${inUnit(height, unit).toFixed(d)} ${unit}`
}

/** How a field of lengths in inches is shown: in what unit, by what factor, in what steps. */
export function lengthField(stepIn: number): { unit: 'in' | 'mm'; factor: number; step: number; digits: number } {
  const { unit } = preferences()
  return unit === 'mm' ? { unit, factor: 25.4, step: 0.5, digits: 1 } : { unit, factor: 1, step: stepIn, digits: 2 }
}
