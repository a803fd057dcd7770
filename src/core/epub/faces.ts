import { shippedFamilies, type Face, fontRights, type FontShelf } from '../type'
import type { OwnFamily } from '../book'
import type { InteriorStyle } from '../pages'

/** A face of the style as it goes with an ebook: just the letters that are used, its layout and its licence kept. */
export interface EmbeddedFace {
  /** The family's name, as the style sheet calls it. */
  family: string
  file: string
  bold: boolean
  italic: boolean
  bytes: Uint8Array
}

/** What a text asks of a family. */
export interface UsedText {
  characters: ReadonlySet<number>
  bold: boolean
  boldItalic: boolean
}

/** Cuts the letters that are used out of a font (code points). */
export type Cut = (font: Uint8Array, characters: Iterable<number>) => Uint8Array

/** The faces of a style's family that an ebook may carry, loaded; none where its maker allows it in documents that are read and printed alone. */
export async function carriedFaces(
  style: InteriorStyle,
  own: readonly OwnFamily[],
  shelf: FontShelf,
  cut: Cut,
): Promise<(used: UsedText) => EmbeddedFace[]> {
  const { family } = style.text
  const name = shippedFamilies[family]?.name ?? own.find(f => f.id === family)?.name ?? family
  const cuts = ['regular', 'italic', 'bold', 'bold-italic'] as const
  const faces = await Promise.all(cuts.map(c => shelf.faceOr(`${family}/${c}`)))
  if (faces.some(f => f && !mayBeCarried(f))) return () => []
  return ({ characters, bold, boldItalic }) =>
    faces.flatMap((face, i): EmbeddedFace[] => {
      const kind = cuts[i]!
      if (!face || (kind === 'bold' && !bold) || (kind === 'bold-italic' && !boldItalic)) return []
      return [
        {
          family: name.replace(/["\\\n]/g, ''),
          file: `${family}-${kind}.ttf`,
          bold: kind.startsWith('bold'),
          italic: kind.endsWith('italic'),
          bytes: cut(face.bytes, characters),
        },
      ]
    })
}

/** A file of an ebook can be taken apart: what is allowed for reading and printing alone stays out. */
export const mayBeCarried = ({ bytes }: Pick<Face, 'bytes'>): boolean => {
  const rights = fontRights(bytes)
  return !!rights && rights.embedding !== 'in documents that are read and printed'
}

/** What the texts of an ebook use; letters of titles that are set in capitals too. */
export function usedIn(texts: readonly string[], { openings, quotes }: InteriorStyle): UsedText {
  const characters = new Set<number>()
  let bold = openings.title === 'bold'
  let boldItalic = false
  for (const t of texts) {
    for (const c of t) characters.add(c.codePointAt(0)!)
    if (openings.title === 'capitals')
      for (const [h] of t.matchAll(/<h1[\s\S]*?<\/h1>/g))
        for (const c of h.toUpperCase()) characters.add(c.codePointAt(0)!)
    bold ||= t.includes('<strong')
    boldItalic ||= /<strong[^>]*><em|<em[^>]*><strong/.test(t) || (bold && quotes.italic)
  }
  return { characters, bold, boldItalic }
}
