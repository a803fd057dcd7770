import { imageSize } from 'image-size'
import type {
  Asset,
  BlockJson,
  DocJson,
  ImageJson,
  InlineJson,
  ItemJson,
  ListJson,
  MarkJson,
  ParagraphJson,
  QuoteJson,
  TableJson,
  VerseJson,
} from '../book'
import { gridOf, hashOf, type Ids, inlineText, primaryTag, type Recording, safeHref, tableOf } from '../book'
import { isSceneBreak } from './headings'
import { asRecording } from './recordings'
import { verseAt } from './verse'
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
  recordings: Map<string, { recording: Recording; bytes: Uint8Array }>
  cleaned: DropCounter
  /** Empty paragraphs that were kept so far. */
  empty: number
}

/** What turning a manuscript into a book goes by, and where it puts what it finds. */
export interface Conversion {
  ids: Ids
  /** Bytes of pictures by the reader's key. */
  pictures: Map<string, Uint8Array>
  dropped: DropCounter
  into: Converted
  /** Items so far of lists that are counted, by their keys: one that goes on behind other text counts on. */
  counted: Map<string, number>
  /** Ids of those paragraphs that are asked for, as they were placed: what is said of one is said of its block. */
  placed: Map<RawBlock, string | undefined>
  /** What the names that links lead to became: ids of blocks, or of sections. */
  anchors: Map<string, string>
  /** The book's own, where it is known: what is said to be in it is no passage. */
  language?: string | undefined
}

/** Turns raw blocks of one section into its document; `headingBase` is the level of the section's own title. */
export function toDoc(raw: RawBlock[], conversion: Conversion, headingBase: number): DocJson {
  const content = convert(raw, conversion, headingBase, true)
  return {
    type: 'doc',
    content: content.length ? content : [{ type: 'paragraph', attrs: { id: conversion.ids.block(), align: null } }],
  }
}

function convert(raw: RawBlock[], conversion: Conversion, headingBase: number, top = false): BlockJson[] {
  const { ids } = conversion
  const out: BlockJson[] = []
  for (let i = 0; i < raw.length;) {
    const b = raw[i]!
    if (b.type === 'para') {
      if (i > 0 && b.newPage && !b.newFile) out.push({ type: 'page_break', attrs: { id: ids.block() } })
      if (top && i > 0) out.push(...emptyParagraphs(b.gap ?? 0, conversion))
      const poem = verseAt(raw, i)
      if (poem) {
        const made = verse(poem.lines, conversion)
        for (const p of poem.paras) {
          if (conversion.placed.has(p)) conversion.placed.set(p, made.attrs.id)
          anchor(p, made.attrs.id, conversion)
        }
        out.push(made)
        i += poem.paras.length
        continue
      }
      const together = groupAt(raw, i)
      out.push(fromParas(together, conversion, headingBase))
      i += together.length
    } else {
      const made = fromBlock(b, conversion, headingBase)
      if (made[0]) anchor(b, made[0].attrs.id, conversion)
      out.push(...made)
      i++
    }
  }
  return out
}

/** Empty paragraphs that are kept of one gap, and of all: thousands of them say no more than a few. */
const MOST_EMPTY = 12
const MOST_EMPTY_IN_ALL = 20_000

function emptyParagraphs(gap: number, { ids, into }: Conversion): ParagraphJson[] {
  const n = Math.max(0, Math.min(gap, MOST_EMPTY, MOST_EMPTY_IN_ALL - into.empty))
  into.empty += n
  return Array.from({ length: n }, () => ({ type: 'paragraph', attrs: { id: ids.block(), align: null } }))
}

/** What led to a block of the file leads to what it became. */
function anchor({ anchors }: RawBlock, id: string, conversion: Conversion): void {
  for (const a of anchors ?? []) conversion.anchors.set(a, id)
}

/** The paragraphs from `at` on that are one block: those of a list, those of a quotation, or the one. */
function groupAt(raw: RawBlock[], at: number): RawPara[] {
  const first = raw[at] as RawPara
  const belongs = (b: RawBlock): boolean =>
    b.type === 'para' && (first.list ? b.list?.key === first.list.key : !!first.quote && !!b.quote && !b.list)
  // A heading or a break stands alone, whatever it is marked as.
  if (!first.list && (!first.quote || first.level !== undefined || isTypedBreak(first))) return [first]
  let end = at
  while (end < raw.length && belongs(raw[end]!)) end++
  return raw.slice(at, end) as RawPara[]
}

const isTypedBreak = ({ content, level }: RawPara): boolean =>
  level === undefined &&
  isSceneBreak(inlineText(content)) &&
  content.every(n => n.type === 'text' || n.type === 'hard_break')

function fromParas(paras: RawPara[], conversion: Conversion, headingBase: number): BlockJson {
  const { ids, into } = conversion
  const b = paras[0]!
  if (b.list) return list(paras, 0, conversion)
  if (isTypedBreak(b)) {
    into.cleaned.add('typed scene breaks made into breaks', '', 1, lettersIn(inlineText(b.content)))
    const id = ids.block()
    anchor(b, id, conversion)
    return { type: 'scene_break', attrs: { id } }
  }
  if (b.level !== undefined) {
    const id = ids.block()
    if (conversion.placed.has(b)) conversion.placed.set(b, id)
    anchor(b, id, conversion)
    const level = Math.min(3, Math.max(1, b.level - headingBase))
    return { type: 'heading', attrs: { id, level }, content: inline(b.content, conversion) }
  }
  if (!b.quote) return para(b, conversion)
  const content = paras.map(p => para(p, conversion))
  return { type: 'quote', attrs: { id: ids.block() }, content }
}

type Other = Exclude<RawBlock, RawPara>

function fromBlock(b: Other, conversion: Conversion, headingBase: number): BlockJson[] {
  const { ids } = conversion
  switch (b.type) {
    case 'section':
      return []
    case 'scene':
      return [{ type: 'scene_break', attrs: { id: ids.block() } }]
    case 'page':
      return [{ type: 'page_break', attrs: { id: ids.block() } }]
    case 'table':
      return [table(b.table, conversion)]
    case 'verse':
      return [verse(b.lines, conversion)]
    case 'container':
      return container(b, conversion, headingBase)
    case 'picture':
      return picture(b, conversion)
  }
}

/** A table whose cells reach nowhere that is not in it. */
function table(raw: TableJson, conversion: Conversion): TableJson {
  const sound = tableOf(raw, gridOf(raw))
  return {
    ...sound,
    attrs: { id: conversion.ids.block() },
    content: sound.content.map(r => ({
      ...r,
      content: r.content.map(c => ({ ...c, content: c.content.map(p => cellPara(p, conversion)) })),
    })),
  }
}

const cellPara = (p: ParagraphJson, conversion: Conversion): ParagraphJson =>
  tidy({
    ...p,
    attrs: { ...p.attrs, id: conversion.ids.block() },
    content: p.content?.length ? inline(p.content, conversion) : undefined,
  })

const verse = (lines: Extract<RawBlock, { type: 'verse' }>['lines'], conversion: Conversion): VerseJson => ({
  type: 'verse',
  attrs: { id: conversion.ids.block() },
  content: lines.map(l =>
    tidy({
      type: 'line' as const,
      attrs: { indent: l.indent, stanza: l.stanza },
      content: l.content.length ? inline(l.content, conversion) : undefined,
    }),
  ),
})

/** A quotation or letter with what it may hold; what it may not stands behind it. */
function container(
  b: Extract<RawBlock, { type: 'container' }>,
  conversion: Conversion,
  headingBase: number,
): BlockJson[] {
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
    (x): x is ParagraphJson | ListJson | VerseJson => x.type === 'paragraph' || x.type === 'list' || x.type === 'verse',
  )
  const behind = inner.filter(x => !kept.includes(x as ParagraphJson) && x.type !== 'page_break')
  return [
    ...(kept.length
      ? [{ type: b.kind, attrs: { id: conversion.ids.block() }, content: kept } satisfies QuoteJson]
      : []),
    ...behind,
  ]
}

function picture(b: Extract<RawBlock, { type: 'picture' }>, conversion: Conversion): BlockJson[] {
  const { ids } = conversion
  const asset = b.key ? takePicture(b.key, b.alt, conversion) : undefined
  const plays = b.plays && takeRecording(b.plays.key, b.alt, conversion)
  const caption = b.caption?.length ? inline(b.caption, conversion) : undefined
  if (asset || plays)
    return [
      tidy<ImageJson>({
        type: 'image',
        attrs: {
          id: ids.block(),
          asset: asset ?? '',
          alt: b.alt,
          decoration: false,
          share: 1,
          ...(b.crop && { crop: b.crop }),
          ...(b.leads && safeHref(b.leads) && { leads: b.leads }),
          ...(plays && { plays, ...(b.plays?.spoken && { spoken: b.plays.spoken }) }),
        },
        content: caption,
      }),
    ]
  // The words under a picture that cannot be used are still the author's.
  return caption ? [{ type: 'paragraph', attrs: { id: ids.block(), align: null }, content: caption }] : []
}

/** Takes a picture over; undefined, and counted, where books cannot use it. */
export function takePicture(key: string, alt: string, { pictures, dropped, into }: Conversion): string | undefined {
  const bytes = pictures.get(key)
  const asset = bytes && readAsset(bytes, key.split('/').pop())
  if (asset) into.assets.set(asset.id, { asset, bytes })
  else dropped.add('pictures in a format, or of a size, that books cannot use', alt || key)
  return asset?.id
}

/** Takes a recording over, as a picture is. */
function takeRecording(key: string, alt: string, { pictures, dropped, into }: Conversion): string | undefined {
  const bytes = pictures.get(key)
  const recording = bytes && asRecording(bytes, key.split('/').pop())
  if (recording) into.recordings.set(recording.id, { recording, bytes })
  else dropped.add('sound and film in a format that ebooks do not play', alt || key)
  return recording?.id
}

/** Without keys that are undefined: documents are compared and stored as JSON. */
function tidy<T extends object>(x: T): T {
  for (const k of Object.keys(x) as (keyof T)[]) if (x[k] === undefined) delete x[k]
  return x
}

function para(b: RawPara, conversion: Conversion): ParagraphJson {
  const p: ParagraphJson = { type: 'paragraph', attrs: { id: conversion.ids.block(), align: b.align ?? null } }
  if (conversion.placed.has(b)) conversion.placed.set(b, p.attrs.id)
  anchor(b, p.attrs.id, conversion)
  if (b.content.length) p.content = inline(b.content, conversion)
  return p
}

function inline(content: InlineJson[], conversion: Conversion): InlineJson[] {
  return content.flatMap((n): InlineJson[] => {
    if (n.type === 'footnote')
      return [
        kept(
          {
            ...n,
            attrs: { id: conversion.ids.note() },
            ...(n.content ? { content: n.content.map(x => kept(x, conversion)) } : {}),
          },
          conversion,
        ),
      ]
    if (n.type !== 'sign') return [kept(n, conversion)]
    // Readers name a sign's picture by their own key.
    const asset = takePicture(n.attrs.asset, n.attrs.alt, conversion)
    return asset ? [kept({ ...n, attrs: { ...n.attrs, asset } }, conversion)] : []
  })
}

/** Without links to what a book must not carry, and passages that are in the book's own language; their words stay. */
function kept<T extends InlineJson>(n: T, { language }: Pick<Conversion, 'language'>): T {
  const keeps = (m: MarkJson): boolean =>
    m.type === 'link'
      ? !!safeHref(m.attrs.href)
      : m.type !== 'language' || !language || primaryTag(m.attrs.tag) !== primaryTag(language)
  if (!n.marks || n.marks.every(keeps)) return n
  const marks = n.marks.filter(keeps)
  return marks.length ? { ...n, marks } : tidy({ ...n, marks: undefined })
}

function list(paras: RawPara[], level: number, conversion: Conversion): ListJson {
  const first = paras[0]!.list!
  const before = level === 0 ? (conversion.counted.get(first.key) ?? 0) : 0
  const items: ItemJson[] = []
  for (let i = 0; i < paras.length; i++) {
    const p = paras[i]!
    if (p.list!.level > level && items.length) {
      let j = i
      while (j < paras.length && paras[j]!.list!.level > level) j++
      items[items.length - 1]!.content.push(list(paras.slice(i, j), p.list!.level, conversion))
      i = j - 1
    } else if (p.list!.goesOn && items.length)
      items[items.length - 1]!.content.push(para({ ...p, list: undefined }, conversion))
    else items.push({ type: 'item', content: [para({ ...p, list: undefined }, conversion)] })
  }
  if (level === 0) conversion.counted.set(first.key, before + items.length)
  return {
    type: 'list',
    attrs: { id: conversion.ids.block(), ordered: first.ordered, start: first.start + (first.ordered ? before : 0) },
    content: items,
  }
}
