import { type Asset, filled, type HandPage, type Run } from '../book'
import { type Layer, LayerBuilder, type MarkPlace } from '../marks'
import { setFrag, type TextStyle } from '../type'
import { cellsOf } from './cells'
import { drawDesign } from './design'
import { byHand } from './hand'
import { headingOf, headingText } from './heading'
import type { DrawnPage, Leaf, MadeRun, Room, RunKind, Side, StyleOf } from './kind'
import { drawFrame, drawHead, frameInset, type HeadWords, type PageLook } from './looks'
import { pageWords } from '../words'
import { addLayer, addPiece, rewording, type Rewording, wordedPiece, wordsWithin } from './piece'

/** What a page is drawn with, whatever its kind. */
export interface PageOn {
  room: Room
  leaf: Leaf
  side: Side
  language: string
  look: PageLook
  print: number
  assets?: ReadonlyMap<string, Asset> | undefined
  styleOf: StyleOf
  /** The folio of the answer to one thing that the run asks, or of a page of the run that it refers to. */
  folioOf?: ((index: number) => string | undefined) | undefined
  /** What the author did to it by hand. */
  hand?: HandPage | undefined
  /** Bodies of pages that are alike but for their headings, as they were drawn for others, by what tells them apart. */
  bodies?: Map<string, Layer> | undefined
  /** It is a sample: what stands for the author's own is drawn. */
  isSample?: boolean | undefined
}

/** Size of the heading over one of several things on a page, and of a reference under what it belongs to; points. */
const OVER = { size: 12, height: 20 }
const REFERENCE = { size: 8, height: 14 }

/** One page of a run in its room: head, frame, and what its kind draws; several things of it where the run says so; all as the author's hand left it. */
export async function drawPage(kind: RunKind, run: Run, made: unknown, index: number, on: PageOn): Promise<Layer> {
  const { look, print, room, side, language, styleOf, folioOf, hand } = on
  const out = new LayerBuilder()
  const place = { section: `run:${run.id}`, block: 'page' }
  const inset = kind.bare ? 0 : frameInset(look)
  if (inset) drawFrame(look, out, room.width, room.height)
  const inner = { width: Math.max(1, room.width - 2 * inset), height: Math.max(1, room.height - 2 * inset) }
  const leaf = { ...on.leaf, x: on.leaf.x + inset, y: on.leaf.y + inset }
  const own = inset ? new LayerBuilder() : out
  const words = rewording(hand)
  const shared = { language, look, print, assets: on.assets, styleOf, folioOf, words, leaf }
  const page = { params: run.params, made, side, place, ...shared }
  const each = kind.answers ? (run.each ?? 1) : 1
  if (each > 1) await drawSeveral(kind, run, { ...page, out: own, room: inner, index, each })
  else {
    const head = await headingOf(run, kind, index)
    const top = head ? await headPiece(own, head, { ...page, room: inner }) : 0
    const answered = kind.answers && folioOf?.(index)
    const height = inner.height - (answered ? REFERENCE.height * print : 0)
    const drawn = {
      ...page,
      index,
      room: { width: inner.width, height },
      top,
      words: wordsWithin('body', words),
    }
    const key = kind.alike && !hand ? `${side}/${top}/${height}` : undefined
    const known = key === undefined ? undefined : on.bodies?.get(key)
    const body = known ?? (await bodyOf(kind, drawn, on.isSample))
    if (key !== undefined) on.bodies?.set(key, body)
    addLayer(own, { id: 'body' }, body)
    if (answered)
      await drawReference(own, pageWords(language).answerOn, answered, {
        ...page,
        id: 'reference',
        x: 0,
        y: inner.height,
        width: inner.width,
      })
  }
  for (const piece of hand?.added ?? []) {
    const drawn = new LayerBuilder()
    await drawDesign(piece, { ...page, out: drawn, index, room: inner })
    addPiece(own, { id: piece.id }, drawn)
  }
  if (inset) out.add({ kind: 'group', transform: [1, 0, 0, 1, inset, inset], layers: [own.build()] })
  const layer = out.build()
  return hand ? byHand(layer, hand) : layer
}

/** What a kind draws on a page, or what stands for it in a sample. */
async function bodyOf(
  kind: RunKind,
  page: Omit<DrawnPage<object, unknown>, 'out'>,
  isSample: boolean | undefined,
): Promise<Layer> {
  const out = new LayerBuilder()
  const drawn = { ...page, out }
  await (isSample && kind.example ? kind.example(drawn) : kind.draw(drawn))
  return out.build()
}

type HeadOn = Pick<DrawnPage<object, unknown>, 'room' | 'side' | 'place' | 'styleOf' | 'look' | 'words'>

/** The head of a page; returns where what it heads begins. */
async function headPiece(out: LayerBuilder, head: HeadWords, on: HeadOn): Promise<number> {
  const { room, look, words } = on
  const drawn = new LayerBuilder()
  const said = words('heading', head.words)
  const top = await drawHead(look, { ...head, words: said }, { ...on, out: drawn, width: room.width })
  addPiece(out, wordedPiece('heading', said, head.words), drawn)
  return top
}

/** Several things that a run asks on one page, each under its heading. */
async function drawSeveral(
  kind: RunKind,
  run: Run,
  { each, index, ...page }: Omit<DrawnPage<object, unknown>, 'top'> & { each: number },
): Promise<void> {
  const { out, room, look, print, place, styleOf, language, folioOf, words } = page
  const [size, over] = [OVER.size * print, OVER.height * print]
  const ratio = await kind.answers!.ratio(page.made, index * each)
  const style = await styleOf(look.head.face, size)
  for (const [i, cell] of cellsOf(each, room, { over, ratio }).entries()) {
    const asked = index * each + i
    const head = await headingOf(run, kind, asked)
    const named = `heading-${i + 1}`
    if (head) {
      const said = words(named, head.words)
      const drawn = new LayerBuilder()
      centred(drawn, style, headingText({ ...head, words: said }), { ...cell, y: cell.y + size, place })
      addPiece(out, wordedPiece(named, said, head.words), drawn)
    }
    const answered = folioOf?.(asked)
    const height = cell.height - over - (answered ? REFERENCE.height * print : 0)
    const own = new LayerBuilder()
    const body = `body-${i + 1}`
    const shared = { ...page, out: own, words: wordsWithin(body, words) }
    await kind.draw({ ...shared, index: asked, room: { width: cell.width, height }, top: 0 })
    addPiece(out, { id: body }, own, cell.x, cell.y + over)
    const at = { ...cell, y: cell.y + cell.height, place, print, styleOf, words, id: `reference-${i + 1}` }
    if (answered) await drawReference(out, pageWords(language).answerOn, answered, at)
  }
}

/** Answers to some of what another run asks, each under the heading of what it answers. */
export async function drawAnswers(
  other: MadeRun,
  answered: readonly number[],
  count: number,
  page: Omit<DrawnPage<object, unknown>, 'params' | 'made' | 'index' | 'side' | 'words' | 'leaf'>,
): Promise<void> {
  const { out, room, top, place, styleOf, look, print, language, folioOf } = page
  const asked = other.kind.answers!
  if (!answered.length) return
  const size = 9 * print
  const style = await styleOf(look.head.face, size)
  const over = size + 6
  const within = { width: room.width, height: room.height - top }
  const cells = cellsOf(count, within, { over, ratio: await asked.ratio(other.made, answered[0]!) })
  for (const [i, index] of answered.entries()) {
    const cell = cells[i]!
    const folio = folioOf?.(index)
    const head = headingText((await answeredHead(other, index)) ?? { words: String(index + 1) })
    const words = folio === undefined ? head : `${head} · ${filled(pageWords(language).page, { n: folio })}`
    const drawn = new LayerBuilder()
    centred(drawn, style, words, { x: 0, width: cell.width, y: size, place })
    const own = new LayerBuilder()
    await asked.draw(other.made, index, {
      out: own,
      place,
      styleOf,
      language,
      width: cell.width,
      height: cell.height - over,
    })
    drawn.add({ kind: 'group', transform: [1, 0, 0, 1, 0, over], layers: [own.build()] })
    addPiece(out, { id: `answer-${i + 1}` }, drawn, cell.x, top + cell.y)
  }
}

/** What a thing that is answered is headed by on its own page, by the author's hand where that was there. */
async function answeredHead({ run, kind, hands }: MadeRun, index: number): Promise<HeadWords | undefined> {
  const head = await headingOf(run, kind, index)
  if (!head) return undefined
  const each = run.each ?? 1
  const hand = hands?.on.get(Math.floor(index / each))
  return { ...head, words: rewording(hand)(each > 1 ? `heading-${(index % each) + 1}` : 'heading', head.words) }
}

interface Centred {
  x: number
  width: number
  /** The baseline. */
  y: number
  place: MarkPlace
}

function centred(out: LayerBuilder, style: TextStyle, words: string, { x, width, y, place }: Centred): void {
  const frag = style.frag(words)
  const scale = Math.min(1, width / Math.max(1, frag.width))
  setFrag(out, frag, { x: x + (width - frag.width * scale) / 2, y, place, scale })
}

async function drawReference(
  out: LayerBuilder,
  form: string,
  folio: string,
  at: Centred & { id: string; print: number; styleOf: StyleOf; words: Rewording },
): Promise<void> {
  const place = { ...at.place, block: 'reference' }
  const style = await at.styleOf('figtree/regular', REFERENCE.size * at.print, 0.75)
  const made = filled(form, { n: folio })
  const said = at.words(at.id, made)
  const drawn = new LayerBuilder()
  centred(drawn, style, said, { ...at, place })
  addPiece(out, wordedPiece(at.id, said, made), drawn)
}
