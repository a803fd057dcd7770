import type { OutletProfile } from '../trade'
import type { Finding } from './finding'

/** Bytes of the files of a print edition. */
export interface PrintWeights {
  interior: number
  cover: number
}

/** What of made files is heavier than the outlet takes. Megabytes are 10⁶ bytes. */
export function heavyFiles({ print, name }: OutletProfile, weights: PrintWeights): Finding[] {
  if (!print) return []
  const heavier = (what: keyof PrintWeights, most: number): Finding[] =>
    weights[what] <= most * 1e6
      ? []
      : [
          {
            rule: 'file weight',
            severity: 'stop',
            place: what === 'cover' ? { kind: 'cover', piece: 'picture' } : { kind: 'edition' },
            amount: `${(weights[what] / 1e6 - most).toFixed(1)} MB`,
            message: `The ${what} weighs ${(weights[what] / 1e6).toFixed(1)} MB; ${name} takes ${most} MB.`,
            remedy: what === 'cover' ? 'lighten the cover' : 'lighten the interior',
          },
        ]
  return [...heavier('interior', print.interiorMb), ...heavier('cover', print.coverMb)]
}
