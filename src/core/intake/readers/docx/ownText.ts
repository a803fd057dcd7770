import type { XmlElement } from '../../../files'

/** The text of an element itself, not of those inside it. */
export function ownText({ children }: XmlElement): string {
  let text = ''
  for (const s of children) if (typeof s === 'string') text += s
  return text
}
