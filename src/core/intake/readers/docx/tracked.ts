import type { XmlElement } from '../../../files'
import type { Tracked } from './riding'
import { textIn } from './textIn'

/** A change that was recorded (ECMA-376, 17.13.5). */
export function trackedOf(e: XmlElement, did: Tracked['did']): Tracked {
  const when = Date.parse(e.attrs['w:date'] ?? '')
  return {
    did,
    by: e.attrs['w:author']?.trim() ?? '',
    when: Number.isFinite(when) && when > 0 ? when : 0,
    words: textIn(e),
  }
}
