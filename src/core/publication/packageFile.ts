import { hrefFrom } from '../files'
import { element, joined, type Markup, xml } from '../trade'
import type { Epub } from './epub'

/** What the guide of EPUB 2 calls a landmark. */
export const GUIDE: Record<string, string> = {
  cover: 'cover',
  toc: 'toc',
  bodymatter: 'text',
  titlepage: 'title-page',
}

/** The type of the contents that older devices read (NCX, of EPUB 2). */
export const NCX = 'application/x-dtbncx+xml'

/** The package document (EPUB 3.3, 5): what the publication is, its files and their order. Older devices find their guide and NCX. */
export function packageFile(epub: Epub): Markup {
  const href = (target: string): string => hrefFrom(epub.root, target)
  const metadata = epub.metadata.map(s => element(s.name, s.attrs, s.value || undefined))
  const items = epub.items.map(({ id, path, type, properties, fallback, overlay }) =>
    element('item', {
      id,
      href: href(path),
      'media-type': type,
      fallback,
      'media-overlay': overlay,
      properties: properties.length > 0 && properties.join(' '),
    }),
  )
  const spine = epub.spine.map(({ id, linear, properties }) =>
    element('itemref', {
      idref: id,
      linear: !linear && 'no',
      properties: properties.length > 0 && properties.join(' '),
    }),
  )
  const guide = epub.landmarks.flatMap(l =>
    GUIDE[l.type] ? [element('reference', { type: GUIDE[l.type], title: l.title, href: href(l.href) })] : [],
  )
  const ncx = epub.items.find(i => i.type === NCX)
  return xml`<?xml version="1.0" encoding="UTF-8"?>\n<package xmlns="http://www.idpf.org/2007/opf" version="${epub.version}" unique-identifier="${epub.uid}"${epub.language !== undefined && xml` xml:lang="${epub.language}"`}>
<metadata xmlns:dc="http://purl.org/dc/elements/1.1/">\n${joined(metadata, '\n')}\n</metadata>
<manifest>\n${joined(items, '\n')}\n</manifest>
<spine${ncx && xml` toc="${ncx.id}"`}${epub.direction && xml` page-progression-direction="${epub.direction}"`}>\n${joined(spine, '\n')}\n</spine>${guide.length > 0 && xml`\n<guide>\n${joined(guide, '\n')}\n</guide>`}\n</package>\n`
}
