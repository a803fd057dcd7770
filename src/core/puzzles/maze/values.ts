import type { Band } from '../difficulty'
import type { OwnShape } from '../../silhouettes'
import type { DoorPlace } from './ground'
import type { sizes } from './maze'

export type Ends = 'long' | 'middling' | 'short'

export interface MazeValues {
  size: keyof typeof sizes
  /** The whole sheet where it is not said. */
  outline?: string | undefined
  own?: OwnShape | undefined
  /** Silhouettes in turn. */
  outlines?: readonly string[] | undefined
  /** From head to foot where it is not said. */
  doors?: DoorPlace | undefined
  ends: Ends
  band: Band
}
