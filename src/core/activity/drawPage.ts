import { type Asset, filled, type Run } from '../book'
import { type Layer, LayerBuilder, type MarkPlace } from '../marks'
import { setFrag, type TextStyle } from '../type'
import { cellsOf } from './cells'
import { headingOf, headingText } from './heading'
import type { DrawnPage, MadeRun, Room, RunKind, Side, StyleOf } from './kind'
import { drawFrame, drawHead, frameInset, type PageLook } from './looks'
import { pageWords } from './pageWords'

/** What a page is drawn with, whatever its kind. */
export interface PageOn {
  room: Room
  side: Side
  language: string
  look: PageLook
  print: number
  assets?: ReadonlyMap<string, Asset> | undefined
  styleOf: StyleOf
  /** The folio of the answer to one thing that the run asks, or of a page of the run that it refers to. */
  folioOf?: ((index: number) => string | undefined) | undefined
}

/** Size of the heading over one of several things on a page, and of a reference under what it belongs to; points. */
const OVER = { size: 12, height: 20 }
const REFERENCE = { size: 8, height: 14 }

/** One page of a run in its room: head, frame, and what its kind draws; several things of it where the run says so. */
export async function drawPage(kind: RunKind, run: Run, made: unknown, index: number, on: PageOn): Promise<Layer> {
  const { look, print, room, side, language, styleOf, folioOf } = on
  const out = new LayerBuilder()
  const place = { section: `run:${run.id}`, block: 'page' }
  const inset = kind.bare ? 0 : frameInset(look)
  if (inset) drawFrame(look, out, room.width, room.height)
  const inner = { width: Math.max(1, room.width - 2 * inset), height: Math.max(1, room.height - 2 * inset) }
  const own = inset ? new LayerBuilder() : out
  const page = { params: run.params, made, side, place, language, look, print, assets: on.assets, styleOf, folioOf }
  const each = kind.answers ? (run.each ?? 1) : 1
  if (each > 1) await drawSeveral(kind, run, { ...page, out: own, room: inner, index, each })
  else {
    const head = await headingOf(run, kind, index)
    const top = head ? await drawHead(look, head, { out: own, width: inner.width, side, place, styleOf }) : 0
    const answered = kind.answers && folioOf?.(index)
    const height = inner.height - (answered ? REFERENCE.height * print : 0)
    await kind.draw({ ...page, out: own, index, room: { width: inner.width, height }, top })
    if (answered)
      await drawReference(own, pageWords(language).answerOn, answered, {
        ...page,
        x: 0,
        y: inner.height,
        width: inner.width,
      })
  }
  if (inset) out.add({ kind: 'group', transform: [1, 0, 0, 1, inset, inset], layers: [own.build()] })
  return out.build()
}

/** Several things that a run asks on one page, each under its heading. */
async function drawSeveral(
  kind: RunKind,
  run: Run,
  { each, index, ...page }: Omit<DrawnPage<object, unknown>, 'top'> & { each: number },
): Promise<void> {
  const { out, room, look, print, place, styleOf, language, folioOf } = page
  const [size, over] = [OVER.size * print, OVER.height * print]
  const ratio = await kind.answers!.ratio(page.made, index * each)
  const style = await styleOf(look.head.face, size)
  for (const [i, cell] of cellsOf(each, room, { over, ratio }).entries()) {
    const asked = index * each + i
    const head = await headingOf(run, kind, asked)
    if (head) centred(out, style, headingText(head), { ...cell, y: cell.y + size, place })
    const answered = folioOf?.(asked)
    const height = cell.height - over - (answered ? REFERENCE.height * print : 0)
    const own = new LayerBuilder()
    await kind.draw({ ...page, out: own, index: asked, room: { width: cell.width, height }, top: 0 })
    out.add({ kind: 'group', transform: [1, 0, 0, 1, cell.x, cell.y + over], layers: [own.build()] })
    const at = { ...cell, y: cell.y + cell.height, place, print, styleOf }
    if (answered) await drawReference(out, pageWords(language).answerOn, answered, at)
  }
}

/** Answers to some of what another run asks, each under the heading of what it answers. */
export async function drawAnswers(
  other: MadeRun,
  answered: readonly number[],
  count: number,
  page: Omit<DrawnPage<object, unknown>, 'params' | 'made' | 'index' | 'side'>,
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
    const head = headingText((await headingOf(other.run, other.kind, index)) ?? { words: String(index + 1) })
    const words = folio === undefined ? head : `${head} · ${filled(pageWords(language).page, { n: folio })}`
    centred(out, style, words, { ...cell, y: top + cell.y + size, place })
    const own = new LayerBuilder()
    await asked.draw(other.made, index, { out: own, place, styleOf, width: cell.width, height: cell.height - over })
    out.add({ kind: 'group', transform: [1, 0, 0, 1, cell.x, top + cell.y + over], layers: [own.build()] })
  }
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
  words: string,
  folio: string,
  at: Centred & { print: number; styleOf: StyleOf },
): Promise<void> {
  const place = { ...at.place, block: 'reference' }
  const style = await at.styleOf('figtree/regular', REFERENCE.size * at.print, 0.75)
  centred(out, style, filled(words, { n: folio }), { ...at, place })
}
