import { imageSize } from 'image-size'
import type {
  Asset,
  BlockJson,
  DocJson,
  ImageJson,
  InlineJson,
  ItemJson,
  ListJson,
  ParagraphJson,
  QuoteJson,
  VerseJson,
} from '../book'
import { hashOf, type Ids, inlineText, safeHref } from '../book'
import { isSceneBreak } from './headings'
import { type DropCounter, lettersIn, type RawBlock, type RawPara } from './raw'

/** Pixels of the largest picture that is taken: a poster at the resolution of a press. */
const MOST_PIXELS = 250e6

/** A picture's size and kind from its header; undefined where it is none that books can use. */
export function readAsset(bytes: Uint8Array, name?: string): Asset | undefined {
  try {
    const { width, height, type, orientation } = imageSize(bytes)
    const mime = ({ png: 'image/png', jpg: 'image/jpeg', gif: 'image/gif' } as const)[type as 'png']
    // A header may say anything; what it says would have to be decoded.
    if (!mime || !width || !height || width * height > MOST_PIXELS) return undefined
    const turned = (orientation ?? 1) >= 5
    return {
      id: hashOf(bytes),
      type: mime,
      width: turned ? height : width,
      height: turned ? width : height,
      ...(name ? { name } : {}),
    }
  } catch {
    return undefined
  }
}

export interface Converted {
  assets: Map<string, { asset: Asset; bytes: Uint8Array }>
  cleaned: DropCounter
}

/** What turning a manuscript into a book goes by, and where it puts what it finds. */
export interface Conversion {
  ids: Ids
  /** Bytes of pictures by the reader's key. */
  pictures: Map<string, Uint8Array>
  dropped: DropCounter
  into: Converted
}

/** Turns raw blocks of one section into its document; `headingBase` is the level of the section's own title. */
export function toDoc(raw: RawBlock[], conversion: Conversion, headingBase: number): DocJson {
  const content = convert(raw, conversion, headingBase)
  return {
    type: 'doc',
    content: content.length ? content : [{ type: 'paragraph', attrs: { id: conversion.ids.block(), align: null } }],
  }
}

function convert(raw: RawBlock[], conversion: Conversion, headingBase: number): BlockJson[] {
  const { ids, into } = conversion
  const out: BlockJson[] = []
  for (let i = 0; i < raw.length; i++) {
    const b = raw[i]!
    if (b.type === 'para' && i > 0 && b.newPage) out.push({ type: 'page_break', attrs: { id: ids.block() } })
    switch (b.type) {
      case 'para': {
        if (b.list) {
          let j = i
          while (j < raw.length && raw[j]!.type === 'para' && (raw[j] as RawPara).list?.key === b.list.key) j++
          out.push(list(raw.slice(i, j) as RawPara[], 0, conversion))
          i = j - 1
          break
        }
        const text = inlineText(b.content)
        if (
          b.level === undefined &&
          isSceneBreak(text) &&
          b.content.every(n => n.type === 'text' || n.type === 'hard_break')
        ) {
          into.cleaned.add('typed scene breaks made into breaks', '', 1, lettersIn(text))
          out.push({ type: 'scene_break', attrs: { id: ids.block() } })
        } else if (b.level !== undefined) {
          out.push({
            type: 'heading',
            attrs: { id: ids.block(), level: Math.min(3, Math.max(1, b.level - headingBase)) },
            content: inline(b.content, conversion),
          })
        } else if (b.quote) {
          let j = i
          const inner: ParagraphJson[] = []
          while (j < raw.length && raw[j]!.type === 'para' && (raw[j] as RawPara).quote && !(raw[j] as RawPara).list)
            inner.push(para(raw[j++] as RawPara, conversion))
          out.push({ type: 'quote', attrs: { id: ids.block() }, content: inner })
          i = j - 1
        } else out.push(para(b, conversion))
        break
      }
      case 'scene':
        out.push({ type: 'scene_break', attrs: { id: ids.block() } })
        break
      case 'page':
        out.push({ type: 'page_break', attrs: { id: ids.block() } })
        break
      case 'table':
        out.push({
          ...b.table,
          attrs: { id: ids.block() },
          content: b.table.content.map(r => ({
            ...r,
            content: r.content.map(c => ({
              ...c,
              content: c.content
                .map(p => ({
                  ...p,
                  attrs: { ...p.attrs, id: ids.block() },
                  ...(p.content?.length ? { content: inline(p.content, conversion) } : { content: undefined }),
                }))
                .map(tidy),
            })),
          })),
        })
        break
      case 'verse':
        out.push({
          type: 'verse',
          attrs: { id: ids.block() },
          content: b.lines.map(l =>
            tidy({
              type: 'line' as const,
              attrs: { indent: l.indent, stanza: l.stanza },
              content: l.content.length ? inline(l.content, conversion) : undefined,
            }),
          ),
        })
        break
      case 'container': {
        const inner = convert(b.blocks, conversion, headingBase).map(x =>
          x.type === 'heading'
            ? ({
                type: 'paragraph',
                attrs: { id: x.attrs.id, align: 'center' },
                ...(x.content ? { content: x.content } : {}),
              } satisfies ParagraphJson)
            : x,
        )
        const kept = inner.filter(
          (x): x is ParagraphJson | ListJson | VerseJson =>
            x.type === 'paragraph' || x.type === 'list' || x.type === 'verse',
        )
        if (kept.length) out.push({ type: b.kind, attrs: { id: ids.block() }, content: kept } satisfies QuoteJson)
        for (const x of inner)
          if (!kept.includes(x as ParagraphJson) && x.type !== 'page_break') out.push(x as BlockJson)
        break
      }
      case 'picture': {
        const asset = assetOf(b.key, b.alt, conversion)
        const caption = b.caption?.length ? inline(b.caption, conversion) : undefined
        if (asset)
          out.push(
            tidy<ImageJson>({
              type: 'image',
              attrs: { id: ids.block(), asset, alt: b.alt, decoration: false, share: 1 },
              content: caption,
            }),
          )
        // The words under a picture that cannot be used are still the author's.
        else if (caption) out.push({ type: 'paragraph', attrs: { id: ids.block(), align: null }, content: caption })
        break
      }
    }
  }
  return out
}

/** Takes a picture over; undefined, and counted, where books cannot use it. */
function assetOf(key: string, alt: string, { pictures, dropped, into }: Conversion): string | undefined {
  const bytes = pictures.get(key)
  const asset = bytes && readAsset(bytes, key.split('/').pop())
  if (asset) into.assets.set(asset.id, { asset, bytes })
  else dropped.add('pictures in a format, or of a size, that books cannot use', alt || key)
  return asset?.id
}

/** Without keys that are undefined: documents are compared and stored as JSON. */
function tidy<T extends object>(x: T): T {
  for (const k of Object.keys(x) as (keyof T)[]) if (x[k] === undefined) delete x[k]
  return x
}

function para(b: RawPara, conversion: Conversion): ParagraphJson {
  const p: ParagraphJson = { type: 'paragraph', attrs: { id: conversion.ids.block(), align: b.align ?? null } }
  if (b.content.length) p.content = inline(b.content, conversion)
  return p
}

function inline(content: InlineJson[], conversion: Conversion): InlineJson[] {
  return content.flatMap((n): InlineJson[] => {
    if (n.type === 'footnote')
      return [
        safe({ ...n, attrs: { id: conversion.ids.note() }, ...(n.content ? { content: n.content.map(safe) } : {}) }),
      ]
    if (n.type !== 'sign') return [safe(n)]
    // Readers name a sign's picture by their own key.
    const asset = assetOf(n.attrs.asset, n.attrs.alt, conversion)
    return asset ? [safe({ ...n, attrs: { ...n.attrs, asset } })] : []
  })
}

/** Without links to what a book must not carry; their words stay. */
function safe<T extends InlineJson>(n: T): T {
  if (!n.marks?.some(m => m.type === 'link' && !safeHref(m.attrs.href))) return n
  const marks = n.marks.filter(m => m.type !== 'link' || safeHref(m.attrs.href))
  return marks.length ? { ...n, marks } : tidy({ ...n, marks: undefined })
}

function list(paras: RawPara[], level: number, conversion: Conversion): ListJson {
  const first = paras[0]!.list!
  const items: ItemJson[] = []
  for (let i = 0; i < paras.length; i++) {
    const p = paras[i]!
    if (p.list!.level > level && items.length) {
      let j = i
      while (j < paras.length && paras[j]!.list!.level > level) j++
      items[items.length - 1]!.content.push(list(paras.slice(i, j), p.list!.level, conversion))
      i = j - 1
    } else items.push({ type: 'item', content: [para({ ...p, list: undefined }, conversion)] })
  }
  return {
    type: 'list',
    attrs: { id: conversion.ids.block(), ordered: first.ordered, start: first.start },
    content: items,
  }
}
