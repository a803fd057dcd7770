import type { CopyKind, CopySource } from '../../copyKind'
import type { Rider } from './rider'

/** A word-processor file (ECMA-376). The ids of the text ride along in bookmarks, so that it can come back changed. What writes it is read when it is wanted. */
export const docx: CopyKind = {
  id: 'docx',
  name: 'a word-processor file (.docx)',
  keeps:
    'All formatting by styles, with notes, tables, pictures, and remarks as comments. To have it back change by change, give it out under Others.',
  make: async source => (await import('./write')).writtenDocx(source),
}

/** What a file that was made of sections cannot say itself. */
export const riderOf = async (source: CopySource): Promise<Rider> => (await import('./write')).riderOf(source)
