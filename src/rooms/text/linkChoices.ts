import { type BlockJson, blockIds, type Book, docText, labels, roles, shortName } from '@/core/book'

/** A place of the book that a link may lead to. */
export interface LinkChoice {
  id: string
  /** What it is called, or how it begins. */
  name: string
  kind: 'section' | 'heading' | 'place'
  /** The section that it stands in, where it is none itself. */
  within?: string
}

/** Letters from which on the text itself is searched. */
const ENOUGH = 3
/** Letters of a paragraph that are shown. */
const SHOWN = 70

/** Sections, headings and places of a book whose words hold what was typed, at most `most`: sections first, then headings, then where the words stand in the text. */
export function linkChoices(book: Book, typed: string, most = 24): LinkChoice[] {
  const wanted = typed.trim().toLowerCase()
  const holds = (words: string): boolean => words.toLowerCase().includes(wanted)
  const names = labels(book.sections, book.data.language)
  const [sections, headings, places]: LinkChoice[][] = [[], [], []]
  for (const s of book.sections) {
    const label = names.get(s.id)!
    const name = shortName(label) || roles[s.role].name
    if (holds(`${label.numberWords ?? ''} ${name}`)) sections!.push({ id: s.id, name, kind: 'section' })
    if (s.made) continue
    for (const b of s.doc.content) {
      const heading = b.type === 'heading'
      if (!b.attrs.id || (!heading && (wanted.length < ENOUGH || places!.length >= most))) continue
      const words = wordsOf(b)
      const at = words.toLowerCase().indexOf(wanted)
      if (!words || at < 0) continue
      const choice = { id: b.attrs.id, name: heading ? words : shown(words, at), within: name }
      if (heading) headings!.push({ ...choice, kind: 'heading' })
      else places!.push({ ...choice, kind: 'place' })
    }
  }
  return [...sections!, ...headings!, ...places!].slice(0, most)
}

/** Whether a block is what an id names, or has it within. */
const holdsId = (block: BlockJson, id: string): boolean => blockIds({ type: 'doc', content: [block] }).includes(id)

const wordsOf = (block: BlockJson): string =>
  docText({ type: 'doc', content: [block] })
    .replace(/\s+/g, ' ')
    .trim()

/** The words about a place of a text. */
function shown(words: string, at: number): string {
  const from = Math.max(0, Math.min(at - 12, words.length - SHOWN))
  const start = from ? words.indexOf(' ', from) + 1 || from : 0
  return `${start ? '… ' : ''}${words.slice(start, start + SHOWN)}${start + SHOWN < words.length ? ' …' : ''}`
}

/** What a link inside the book leads to, in words; undefined where it leads nowhere in it. */
export function placeName(book: Book, id: string): string | undefined {
  const section = book.sections.find(s => s.id === id)
  if (section) return shortName(labels(book.sections, book.data.language).get(id)!) || roles[section.role].name
  for (const s of book.sections) {
    const block = s.made ? undefined : s.doc.content.find(b => holdsId(b, id))
    if (block) return shown(wordsOf(block), 0)
  }
  return undefined
}
