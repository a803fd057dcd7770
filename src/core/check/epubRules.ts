import type { EpubFinding } from '../epub'
import type { Finding } from './finding'
import type { Rule } from './pageRules'

/** What rules of the book say before its file is looked at, with the place in the text and what mends it there. */
const SAID_OF_THE_BOOK: ReadonlySet<string> = new Set([
  'accessibility claim',
  'cover',
  'empty page',
  'heading order',
  'link without words',
  'picture description',
  'weight',
])

/** The section that a file of our own ebooks holds. */
const sectionIn = (file: string, sections: readonly { id: string }[]): string | undefined => {
  const id = /\/text\/([A-Za-z][A-Za-z0-9]*)\.xhtml$/.exec(file)?.[1]
  return sections.some(s => s.id === id) ? id : undefined
}

/** The file as it will be sent, held against what the door holds every ebook against, whoever made it. */
export const ebookAsAnyOther: Rule = s =>
  (s.ebook?.faults ?? [])
    .filter(f => !SAID_OF_THE_BOOK.has(f.rule) && f.severity !== 'remark')
    .map(({ severity, place, message, remedy }: EpubFinding): Finding => {
      const section = sectionIn(place.file, s.book.sections)
      return {
        rule: 'ebook as any other',
        severity,
        place: section ? { kind: 'text', section, block: '' } : { kind: 'edition' },
        message: section ? message : `${place.file}: ${message}`,
        remedy: 'mend as said',
        remedyValue: remedy,
      }
    })
