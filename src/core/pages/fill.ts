import type { PageMarks } from '../marks'
import type { Interior } from './interior'

/** The interior with blank leaves behind it until its pages are a multiple of what the printer folds. The very same where they are. */
export function filledUp(interior: Interior, multiple: number): Interior {
  const { pages } = interior
  const last = pages.at(-1)
  if (!last || pages.length % multiple === 0) return interior
  const filled: PageMarks[] = [...pages]
  let number = Number(last.label)
  while (filled.length % multiple) {
    // A leaf has the bleed of those on its own side: the edge at the spine may have none.
    const facing = pages[pages.length - 1 - ((filled.length - pages.length + 1) % 2)] ?? last
    const label = Number.isInteger(number) && last.label ? String(++number) : ''
    const side = filled.length % 2 === 0 ? 'recto' : 'verso'
    filled.push({ ...last, bleed: facing.bleed, layers: [], label, side })
  }
  return { ...interior, pages: filled }
}
