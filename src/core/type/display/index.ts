import type { Variant } from '../variant'
import faces from './faces.json' with { type: 'json' }

/** A family for what is displayed: titles of covers. */
export interface DisplayFamily {
  /** The folder of its package, too. */
  id: string
  name: string
  /** What books it suits, in a few words. */
  use: string
  files: Partial<Record<Variant, string>>
}

/** Families for covers, under open licences. A new one is a line of `faces.json` and its package. */
export const displayFamilies: readonly DisplayFamily[] = faces
