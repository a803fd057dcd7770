import { Document, Packer, type Paragraph, type Table } from 'docx'
import { authorLine, slugOf } from '@/core/book'
import { type CopyFile, type CopySource, Losses } from '../../copyKind'
import { finishedFile } from './finish'
import { type Numberings, sectionParagraphs } from './paragraphs'
import { newRider, type Rider } from './rider'
import { docxStyles } from './styles'
import type { Writing } from './words'

/** Writes sections as a word-processor file. */
export async function writtenDocx(source: CopySource): Promise<CopyFile> {
  const { book, round } = source
  const { children, numberings, writing } = written(source)
  const { title, language } = book.data
  const file = new Document({
    title,
    creator: writing.at.rider.author,
    styles: { ...docxStyles, default: { ...docxStyles.default, document: inLanguage(language) } },
    numbering: { config: numberings },
    footnotes: writing.notes,
    ...(writing.comments.length && { comments: { children: writing.comments } }),
    features: { trackRevisions: !!round },
    sections: [{ children }],
  })
  const packed = new Uint8Array(await Packer.toArrayBuffer(file))
  const bytes = finishedFile(packed, { book: book.uid ?? book.id, ...(round && { round: round.id }) })
  return { name: `${slugOf(title, 'book')}.docx`, type: DOCX, bytes, lost: writing.losses.all }
}

/** What a file that was made of these sections cannot say itself. */
export const riderOf = (source: CopySource): Rider => written(source).writing.at.rider

function written(source: CopySource) {
  const { book, sections, round } = source
  const author = authorLine(book.data) || 'The author'
  const at = newRider(book, sections, author, round?.at ?? 0)
  const writing: Writing = { source, at, losses: new Losses(), notes: {}, comments: [] }
  const numberings: Numberings = []
  const children: (Paragraph | Table)[] = sections.flatMap(s => sectionParagraphs(s, writing, numberings))
  return { children, numberings, writing }
}

const DOCX = 'application/vnd.openxmlformats-officedocument.wordprocessingml.document'

const inLanguage = (language: string) => {
  const { run, paragraph } = docxStyles.default!.document!
  return { run: { ...run, language: { value: language } }, paragraph }
}
