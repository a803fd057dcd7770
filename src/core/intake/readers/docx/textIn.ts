import type { XmlElement } from '../../../files'

/** All words that stand in an element, in order: shown, deleted and in formulas. */
export function textIn(e: XmlElement): string {
  let out = ''
  const walk = (x: XmlElement): void => {
    const words = x.name === 'w:t' || x.name === 'm:t' || x.name === 'w:delText'
    for (const c of x.children) {
      if (typeof c !== 'string') walk(c)
      else if (words) out += c
    }
  }
  walk(e)
  return out
}
