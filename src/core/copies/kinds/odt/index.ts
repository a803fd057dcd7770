import { strToU8, type Zippable, zipSync } from 'fflate'
import { authorLine, slugOf } from '@/core/book'
import { type CopyKind, Losses } from '../../copyKind'
import { sectionXml } from './blocks'
import { automaticStyles, NAMESPACES, stylesXml } from './styles'
import { type OdtWriting, text } from './words'

/** A text document (ODF 1.3, ISO/IEC 26300), which many word processors write and read. */
export const odt: CopyKind = {
  id: 'odt',
  name: 'an open text document (.odt)',
  keeps:
    'All formatting by styles, with notes, tables, pictures, and remarks as comments, for any program that reads OpenDocument.',
  make(source) {
    const { book } = source
    const { title, language } = book.data
    const author = authorLine(book.data)
    const w: OdtWriting = {
      source,
      losses: new Losses(),
      looks: new Map(),
      pictures: new Map(),
      notes: 0,
      remarks: 0,
      author,
    }
    const body = source.sections.map(s => sectionXml(s, w)).join('\n')
    const content = `${XML}<office:document-content ${NAMESPACES} office:version="1.3">
<office:automatic-styles>${automaticStyles(w)}</office:automatic-styles>
<office:body><office:text>
${body}
</office:text></office:body></office:document-content>`
    const meta = `${XML}<office:document-meta ${NAMESPACES} office:version="1.3"><office:meta><dc:title>${text(title)}</dc:title><meta:initial-creator>${text(author)}</meta:initial-creator><dc:creator>${text(author)}</dc:creator><dc:language>${text(language)}</dc:language></office:meta></office:document-meta>`
    const parts: [name: string, type: string, bytes: Uint8Array][] = [
      ['content.xml', 'text/xml', strToU8(content)],
      ['styles.xml', 'text/xml', strToU8(`${XML}${stylesXml(language)}`)],
      ['meta.xml', 'text/xml', strToU8(meta)],
      ...[...w.pictures].map(([path, { type, bytes }]): [string, string, Uint8Array] => [path, type, bytes]),
    ]
    const entries = parts.map(
      ([name, type]) => `<manifest:file-entry manifest:full-path="${name}" manifest:media-type="${type}"/>`,
    )
    const manifest = `${XML}<manifest:manifest xmlns:manifest="urn:oasis:names:tc:opendocument:xmlns:manifest:1.0" manifest:version="1.3"><manifest:file-entry manifest:full-path="/" manifest:version="1.3" manifest:media-type="${ODT}"/>${entries.join('')}</manifest:manifest>`
    // The first entry says what the file is, as it is (ODF 1.3, part 2, 3.3).
    const zip: Zippable = { mimetype: [strToU8(ODT), { level: 0, mtime: STAMP }] }
    for (const [name, , bytes] of parts) zip[name] = [bytes, { level: name.endsWith('.xml') ? 6 : 0, mtime: STAMP }]
    zip['META-INF/manifest.xml'] = [strToU8(manifest), { level: 6, mtime: STAMP }]
    return { name: `${slugOf(title, 'book')}.odt`, type: ODT, bytes: zipSync(zip), lost: w.losses.all }
  },
}

const ODT = 'application/vnd.oasis.opendocument.text'
const XML = '<?xml version="1.0" encoding="UTF-8"?>\n'
// Every entry carries one date, so that the same book gives the same bytes.
const STAMP = new Date(2026, 0, 1, 0, 0, 0)
