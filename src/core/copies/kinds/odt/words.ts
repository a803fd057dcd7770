import { type InlineJson, type MarkJson, safeHref, threadOf } from '@/core/book'
import { type CopySource, type Losses, markNames } from '../../copyKind'

/** Everything that is gathered while the text is written. */
export interface OdtWriting {
  source: CopySource
  losses: Losses
  /** Names of the looks that words have, by the marks that they are of. */
  looks: Map<string, { name: string; marks: readonly MarkJson[] }>
  /** Pictures by their paths in the file. */
  pictures: Map<string, { type: string; bytes: Uint8Array }>
  notes: number
  remarks: number
  /** The name that stands at what the author says. */
  author: string
}

/** Signs that XML cannot hold (XML 1.0, 2.2). */
const NO_XML =
  /[\u0000-\u0008\u000b\u000c\u000e-\u001f\ufffe\uffff]|[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/g

/** Text as it stands in XML. */
export const text = (s: string): string =>
  s.replace(NO_XML, '').replace(/[&<>"]/g, c => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[c]!)

/** Words in which spaces count: OpenDocument reads several as one, and none at a paragraph's ends (ODF 1.3, part 3, 6.1.2). */
const spaced = (s: string): string =>
  text(s)
    .replace(/\t/g, '<text:tab/>')
    .replace(/\n/g, '<text:line-break/>')
    .replace(/^ | $| {2,}/g, spaces => `<text:s text:c="${spaces.length}"/>`)

const looks = new Set(['strong', 'em', 'small_caps', 'strike', 'superscript', 'subscript', 'language'])

/** Words as they stand in a paragraph. What is said of them stands with them; in notes nothing is. */
export function wordsXml(content: readonly InlineJson[] | undefined, w: OdtWriting, inNote = false): string {
  let out = ''
  let open: { says: string; end: string } | undefined
  for (const node of content ?? []) {
    const remark = node.marks?.find(m => m.type === 'remark')
    const says = remark && !inNote ? JSON.stringify(remark) : ''
    if (open && open.says !== says) {
      out += open.end
      open = undefined
    }
    if (remark && says && !open) {
      const name = `remark${++w.remarks}`
      out += threadOf(remark.attrs, w.author)
        .map(({ by, when, words }, i) => annotation(i ? `${name}-${i}` : name, { by, when, words }))
        .join('')
      open = { says, end: `<office:annotation-end office:name="${name}"/>` }
    }
    if (remark && inNote) w.losses.add('remarks in notes')
    out += nodeXml(node, w)
  }
  return out + (open?.end ?? '')
}

const annotation = (name: string, { by, when, words }: { by: string; when: number; words: string }): string => {
  const lines = words.split('\n').map(l => `<text:p>${spaced(l)}</text:p>`)
  const date = when ? `<dc:date>${new Date(when).toISOString()}</dc:date>` : ''
  return `<office:annotation office:name="${name}"><dc:creator>${text(by)}</dc:creator>${date}${lines.join('')}</office:annotation>`
}

function nodeXml(node: InlineJson, w: OdtWriting): string {
  const marks = node.marks ?? []
  switch (node.type) {
    case 'text':
      return linked(marked(spaced(node.text), marks, w), marks, w)
    case 'hard_break':
      return '<text:line-break/>'
    case 'footnote': {
      const n = ++w.notes
      return `<text:note text:id="note${n}" text:note-class="footnote"><text:note-citation>${n}</text:note-citation><text:note-body><text:p text:style-name="Footnote">${wordsXml(node.content, w, true)}</text:p></text:note-body></text:note>`
    }
    case 'sign': {
      const { asset, alt, decoration, height } = node.attrs
      const shown = pictureXml({ asset, alt, decoration }, w, a => ({
        height: height * 12,
        width: (height * 12 * a.width) / a.height,
      }))
      return shown ?? `[${text(alt || 'sign')}]`
    }
  }
}

function marked(inside: string, marks: readonly MarkJson[], w: OdtWriting): string {
  const own = marks.filter(m => looks.has(m.type))
  for (const m of marks) if (m.type === 'shops') w.losses.add(markNames.shops!)
  if (!own.length) return inside
  const key = JSON.stringify(own)
  const look = w.looks.get(key) ?? { name: `T${w.looks.size + 1}`, marks: own }
  w.looks.set(key, look)
  return `<text:span text:style-name="${look.name}">${inside}</text:span>`
}

function linked(inside: string, marks: readonly MarkJson[], w: OdtWriting): string {
  const to = marks.find(m => m.type === 'link')?.attrs.href
  const href = to && safeHref(to)
  if (!href && to) w.losses.add('links that lead where a file must not')
  return href ? `<text:a xlink:type="simple" xlink:href="${text(href)}">${inside}</text:a>` : inside
}

/** A picture in the line; undefined where its bytes are not there, or are of no kind that word processors show. Sizes in points. */
export function pictureXml(
  { asset: id, alt, decoration }: { asset: string; alt: string; decoration: boolean },
  w: OdtWriting,
  sized: (asset: { width: number; height: number }) => { width: number; height: number },
): string | undefined {
  const asset = w.source.book.assets.find(a => a.id === id)
  const bytes = w.source.picture(id)
  if (!asset || !bytes || asset.type === 'application/pdf') {
    w.losses.add('pictures that are not there, or are pages of a PDF: words stand for them')
    return undefined
  }
  const path = `Pictures/${id}.${asset.type.split('/')[1]!.replace('+xml', '')}`
  w.pictures.set(path, { type: asset.type, bytes })
  const { width, height } = sized(asset)
  const points = (n: number): string => `${Math.round(n * 100) / 100}pt`
  const said = decoration || !alt ? '' : `<svg:desc>${text(alt)}</svg:desc>`
  return `<draw:frame text:anchor-type="as-char" svg:width="${points(width)}" svg:height="${points(height)}"><draw:image xlink:href="${path}" xlink:type="simple" xlink:show="embed" xlink:actuate="onLoad"/>${said}</draw:frame>`
}
