import { type InteriorStyle, readStyleDocument } from './style'
import chandlery from './styles/chandlery.json' with { type: 'json' }
import clearDay from './styles/clear-day.json' with { type: 'json' }
import fieldNotes from './styles/field-notes.json' with { type: 'json' }
import harbour from './styles/harbour-roman.json' with { type: 'json' }
import longEvening from './styles/long-evening.json' with { type: 'json' }
import meadowsweet from './styles/meadowsweet.json' with { type: 'json' }
import nightFerry from './styles/night-ferry.json' with { type: 'json' }
import plainsong from './styles/plainsong.json' with { type: 'json' }

/** The styles that ship, in the order in which they are offered. Whole documents: a test reads each by the schema, so that no start has to. */
export const shippedStyles = [
  harbour,
  chandlery,
  meadowsweet,
  nightFerry,
  plainsong,
  fieldNotes,
  clearDay,
  longEvening,
] as InteriorStyle[]

/** The style that a book begins with. */
export const harbourRoman: InteriorStyle = shippedStyles[0]!

const read = new WeakMap<object, InteriorStyle>()

/** A kept style document as a style, read once. */
function styleOfDocument(document: object): InteriorStyle {
  let style = read.get(document)
  if (!style) read.set(document, (style = readStyleDocument(document)))
  return style
}

/** A style by id among a book's own and the shipped ones; the first shipped one where there is none of that name. */
export function styleById(id: string, own: { id: string }[] = []): InteriorStyle {
  const kept = own.find(s => s.id === id)
  return kept ? styleOfDocument(kept) : (shippedStyles.find(s => s.id === id) ?? harbourRoman)
}
