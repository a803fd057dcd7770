import { imageSize } from 'image-size'
import type { Asset, BlockJson, DocJson, ImageJson, InlineJson, ItemJson, ListJson, ParagraphJson, QuoteJson, VerseJson } from '../book'
import { hashOf, inlineText, safeHref } from '../book'
import { isSceneBreak } from './headings'
import type { DropCounter, RawBlock, RawPara } from './raw'

/** Gives blocks and notes their ids: b1, b2 … and n1, n2 … through the whole book. */
export class Ids {
  private blocks = 0
  private notes = 0
  block = (): string => `b${++this.blocks}`
  note = (): string => `n${++this.notes}`
}

/** A picture's size and kind from its header; undefined where it is none that books can use. */
export function readAsset(bytes: Uint8Array, name?: string): Asset | undefined {
  try {
    const { width, height, type, orientation } = imageSize(bytes)
    const mime = ({ png: 'image/png', jpg: 'image/jpeg', gif: 'image/gif' } as const)[type as 'png']
    if (!mime || !width || !height) return undefined
    const turned = (orientation ?? 1) >= 5
    return { id: hashOf(bytes), type: mime, width: turned ? height : width, height: turned ? width : height, ...(name ? { name } : {}) }
  } catch {
    return undefined
  }
}

export interface Converted {
  assets: Map<string, { asset: Asset; bytes: Uint8Array }>
  cleaned: Map<string, number>
}

/** Turns raw blocks of one section into its document. */
export function toDoc(raw: RawBlock[], ids: Ids, pictures: Map<string, Uint8Array>, dropped: DropCounter, into: Converted, headingBase: number): DocJson {
  const content = convert(raw, ids, pictures, dropped, into, headingBase)
  return { type: 'doc', content: content.length ? content : [{ type: 'paragraph', attrs: { id: ids.block(), align: null } }] }
}

function convert(raw: RawBlock[], ids: Ids, pictures: Map<string, Uint8Array>, dropped: DropCounter, into: Converted, headingBase: number): BlockJson[] {
  const out: BlockJson[] = []
  for (let i = 0; i < raw.length; i++) {
    const b = raw[i]!
    if (b.type === 'para' && i > 0 && b.newPage) out.push({ type: 'page_break', attrs: { id: ids.block() } })
    switch (b.type) {
      case 'para': {
        if (b.list) {
          let j = i
          while (j < raw.length && raw[j]!.type === 'para' && (raw[j] as RawPara).list?.key === b.list.key) j++
          out.push(list(raw.slice(i, j) as RawPara[], 0, ids))
          i = j - 1
          break
        }
        const text = inlineText(b.content)
        if (b.level === undefined && isSceneBreak(text)) {
          count(into, 'typed scene breaks made into breaks')
          out.push({ type: 'scene_break', attrs: { id: ids.block() } })
        } else if (b.level !== undefined) {
          out.push({ type: 'heading', attrs: { id: ids.block(), level: Math.min(3, Math.max(1, b.level - headingBase)) }, content: inline(b.content, ids) })
        } else if (b.quote) {
          let j = i
          const inner: ParagraphJson[] = []
          while (j < raw.length && raw[j]!.type === 'para' && (raw[j] as RawPara).quote && !(raw[j] as RawPara).list) inner.push(para(raw[j++] as RawPara, ids))
          out.push({ type: 'quote', attrs: { id: ids.block() }, content: inner })
          i = j - 1
        } else out.push(para(b, ids))
        break
      }
      case 'scene':
        out.push({ type: 'scene_break', attrs: { id: ids.block() } })
        break
      case 'page':
        out.push({ type: 'page_break', attrs: { id: ids.block() } })
        break
      case 'table':
        out.push({ ...b.table, attrs: { id: ids.block() }, content: b.table.content.map(r => ({ ...r, content: r.content.map(c => ({ ...c, content: c.content.map(p => ({ ...p, attrs: { ...p.attrs, id: ids.block() }, ...(p.content?.length ? { content: inline(p.content, ids) } : { content: undefined }) })).map(tidy) })) })) })
        break
      case 'verse':
        out.push({ type: 'verse', attrs: { id: ids.block() }, content: b.lines.map(l => tidy({ type: 'line' as const, attrs: { indent: l.indent, stanza: l.stanza }, content: l.content.length ? inline(l.content, ids) : undefined })) })
        break
      case 'container': {
        const inner = convert(b.blocks, ids, pictures, dropped, into, headingBase).map(x => (x.type === 'heading' ? ({ type: 'paragraph', attrs: { id: x.attrs.id, align: 'center' }, ...(x.content ? { content: x.content } : {}) } satisfies ParagraphJson) : x))
        const kept = inner.filter((x): x is ParagraphJson | ListJson | VerseJson => x.type === 'paragraph' || x.type === 'list' || x.type === 'verse')
        if (kept.length) out.push({ type: b.kind, attrs: { id: ids.block() }, content: kept } satisfies QuoteJson)
        for (const x of inner) if (!kept.includes(x as ParagraphJson) && x.type !== 'page_break') out.push(x as BlockJson)
        break
      }
      case 'picture': {
        const bytes = pictures.get(b.key)
        const asset = bytes && readAsset(bytes, b.key.split('/').pop())
        if (!bytes || !asset) {
          dropped.add('pictures in a format that books cannot use', b.alt || b.key)
          break
        }
        into.assets.set(asset.id, { asset, bytes })
        out.push(tidy<ImageJson>({ type: 'image', attrs: { id: ids.block(), asset: asset.id, alt: b.alt, decoration: false, share: 1 }, content: b.caption?.length ? inline(b.caption, ids) : undefined }))
        break
      }
    }
  }
  return out
}

/** Without keys that are undefined: documents are compared and stored as JSON. */
function tidy<T extends object>(x: T): T {
  for (const k of Object.keys(x) as (keyof T)[]) if (x[k] === undefined) delete x[k]
  return x
}

function para(b: RawPara, ids: Ids): ParagraphJson {
  const p: ParagraphJson = { type: 'paragraph', attrs: { id: ids.block(), align: b.align ?? null } }
  if (b.content.length) p.content = inline(b.content, ids)
  return p
}

function inline(content: InlineJson[], ids: Ids): InlineJson[] {
  return content.map(n => safe(n.type === 'footnote' ? { ...n, attrs: { id: ids.note() }, ...(n.content ? { content: n.content.map(safe) } : {}) } : n))
}

/** Without links to what a book must not carry; their words stay. */
function safe<T extends InlineJson>(n: T): T {
  if (!n.marks?.some(m => m.type === 'link' && !safeHref(m.attrs.href))) return n
  const marks = n.marks.filter(m => m.type !== 'link' || safeHref(m.attrs.href))
  return marks.length ? { ...n, marks } : tidy({ ...n, marks: undefined })
}

function list(paras: RawPara[], level: number, ids: Ids): ListJson {
  const first = paras[0]!.list!
  const items: ItemJson[] = []
  for (let i = 0; i < paras.length; i++) {
    const p = paras[i]!
    if (p.list!.level > level && items.length) {
      let j = i
      while (j < paras.length && paras[j]!.list!.level > level) j++
      items[items.length - 1]!.content.push(list(paras.slice(i, j), p.list!.level, ids))
      i = j - 1
    } else items.push({ type: 'item', content: [para({ ...p, list: undefined }, ids)] })
  }
  return { type: 'list', attrs: { id: ids.block(), ordered: first.ordered, start: first.start }, content: items }
}

export const count = (into: Converted, what: string, n = 1): void => {
  into.cleaned.set(what, (into.cleaned.get(what) ?? 0) + n)
}
