import { elements, find, parseXml, readZip, type XmlElement } from '../../../files'
import { Fault, type Report } from '../../../trade'
import type { RawManuscript } from '../../raw'
import { readComments } from './comments'
import type { DocxFile } from './docxFile'
import { readNumbering } from './numbering'
import { ownText } from './ownText'
import { DocxReader } from './reader'
import type { Riding } from './riding'
import { readStyles } from './styles'

/** Reads a .docx: text with its formatting, structure facts with inheritance, notes, lists, tables, pictures, links; tracked changes as accepted. `riding`: it is one that comes back. */
export function readDocx(bytes: Uint8Array, report?: Report, salvage = false, riding?: Riding): RawManuscript {
  const ruins = new Map<string, Uint8Array>()
  const lost: string[] = []
  const parts = readZip(
    bytes,
    n => /\.(xml|rels|html?|xhtml|txt)$/.test(n) || n.includes('/media/'),
    undefined,
    report,
    salvage
      ? (name, kept) => {
          lost.push(name)
          if (kept && /\.(xml|rels)$/.test(name)) ruins.set(name, kept)
        }
      : undefined,
  )
  for (const [name, kept] of ruins) parts.set(name, kept)
  const rels0 = parts.get('_rels/.rels')
  let main = 'word/document.xml'
  if (rels0) {
    const r = elements(parseXml(rels0, 'its index')).find(e => e.attrs.Type?.endsWith('/officeDocument'))
    if (r?.attrs.Target) main = r.attrs.Target.replace(/^\//, '')
  }
  const doc = parts.get(main)
  if (!doc) throw new Fault('not-docx', 'This is no word-processor document: it has no text part.')
  const folder = main.slice(0, main.lastIndexOf('/') + 1)
  const part = (name: string): XmlElement | undefined => {
    const b = parts.get(folder + name)
    return b && parseXml(b, name, undefined, salvage)
  }
  const styles = readStyles(part('styles.xml'))
  const reader = new DocxReader({
    styles,
    numbering: readNumbering(part('numbering.xml')),
    relations: readRelations(parts, folder, main.slice(folder.length)),
    folder,
    parts,
    riding,
  })
  reader.notes('footnote', part('footnotes.xml'))
  reader.notes('endnote', part('endnotes.xml'))
  reader.remarks = readComments(part('comments.xml'), part('commentsExtended.xml'))
  const body = find(parseXml(doc, 'its text', report, salvage), 'w:body')
  if (!body) throw new Fault('damaged', 'This document is damaged: it has no body.')
  reader.pair(body)
  const blocks = reader.blocks(body, report)
  reader.countUncalled()
  reader.countHeads()
  for (const name of lost)
    reader.dropped.add(
      /\/media\//.test(name)
        ? 'pictures that are damaged in the file'
        : 'parts of the file that are damaged: words in them may be wrong or missing',
      name,
    )
  const meta = readProperties(parts.get('docProps/core.xml'))
  meta.language ??= styles.language
  const { pictures, dropped, remade } = reader
  return { blocks, pictures, meta, bodySize: styles.bodySize, dropped, remade }
}

/** What the text and its notes refer to, by id; those of notes are told apart. */
function readRelations(parts: Map<string, Uint8Array>, folder: string, text: string): DocxFile['relations'] {
  const relations: DocxFile['relations'] = new Map()
  for (const [file, prefix] of [
    [text, ''],
    ['footnotes.xml', 'f:'],
    ['endnotes.xml', 'e:'],
  ] as const) {
    const b = parts.get(`${folder}_rels/${file}.rels`)
    for (const r of b ? elements(parseXml(b, 'its index')) : [])
      relations.set(prefix + r.attrs.Id!, {
        target: r.attrs.Target ?? '',
        external: r.attrs.TargetMode === 'External',
      })
  }
  return relations
}

/** What the file says of itself. */
function readProperties(core: Uint8Array | undefined): RawManuscript['meta'] {
  if (!core) return {}
  const properties = elements(parseXml(core, 'its properties'))
  const read = (name: string): string | undefined => {
    const e = properties.find(c => c.name === name)
    return (e && ownText(e).trim()) || undefined
  }
  return { title: read('dc:title'), author: read('dc:creator'), language: read('dc:language') }
}
