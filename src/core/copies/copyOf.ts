import { type Book, labels, type Section } from '@/core/book'
import type { CopyFile, CopyKind, CopySource } from './copyKind'
import { docx } from './kinds/docx'
import { html } from './kinds/html'
import { markdown } from './kinds/markdown'
import { odt } from './kinds/odt'
import { plainText } from './kinds/plainText'

/** All formats that the text is taken out in, in the order in which they are offered. */
export const copyKinds: readonly CopyKind[] = [docx, odt, markdown, html, plainText]

/** What is taken out: sections, all written ones where none are named; bytes of pictures by their ids; a round that it goes out on. */
export interface CopyAsk {
  only?: readonly string[]
  pictures: ReadonlyMap<string, Uint8Array>
  round?: CopySource['round']
}

/** The written text of a book, or of some of its sections, as a file in an open format. Pages that are made from the book's data are not in it. */
export async function copyOf(book: Book, kind: string, { only, pictures, round }: CopyAsk): Promise<CopyFile> {
  const names = labels(book.sections, book.data.language)
  const sections = book.sections.filter(s => !s.made && (!only || only.includes(s.id)))
  const of = copyKinds.find(k => k.id === kind) ?? copyKinds[0]!
  const heading = (s: Section): string => {
    const label = names.get(s.id)
    return [label?.number && label.numberWords, s.title].filter(Boolean).join(': ') || (label?.numberWords ?? '')
  }
  const file = await of.make({ book, sections, heading, picture: id => pictures.get(id), ...(round && { round }) })
  return sections.length === 1 && only
    ? { ...file, name: file.name.replace(/(\.\w+)$/, `-${sections[0]!.id}$1`) }
    : file
}
