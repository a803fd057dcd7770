import type { PageMarks, Pictures } from '@/core/marks'
import { imagesOn, visitPage } from '@/core/marks'
import { unshared } from '@/core/trade'
import { bitmapOf, decodedWhole, inTurn } from './decoding'
import { keepPreview, storedBytes, storedPreview } from './storeReader'

/**
 * Pictures at the press. Originals stay in the store and are read when a file is made; screens show previews, made once, kept in
 * the store, and held here under a budget. One picture is decoded whole at a time, whatever asks.
 */

/** Longest side of a preview, pixels; and the bytes of pixels that are held, of all books together. */
const PREVIEW_SIDE = 1400
const HELD_BYTES = 40e6

/** Bytes that are not in the store: a manuscript that is looked over before it becomes a book. */
const unsaved = new Map<string, Blob>()
/** They wait as blobs, which the browser keeps outside the worker's memory. */
export function lend(pictures: Map<string, Uint8Array>): void {
  for (const [id, bytes] of pictures) if (!unsaved.has(id)) unsaved.set(id, new Blob([unshared(bytes)]))
}

/** A file that waits to become part of a book. */
export const lentFile = (id: string): Blob | undefined => unsaved.get(id)

/** The original bytes of a picture or font; undefined where it is nowhere. */
export const originalBytes = async (id: string): Promise<Uint8Array | undefined> => {
  const waiting = unsaved.get(id)
  return waiting ? new Uint8Array(await waiting.arrayBuffer()) : storedBytes(id)
}

/** One for all previews, which are made one at a time: hundreds would be let go of late. */
let canvas: OffscreenCanvas | undefined

/** Makes a picture's preview and keeps it; undefined where the picture cannot be decoded. */
export async function makePreview(id: string, bytes: Uint8Array): Promise<Blob | undefined> {
  const blob = await decodedWhole(id, bytes, bitmap => {
    const scale = Math.min(1, PREVIEW_SIDE / Math.max(bitmap.width, bitmap.height))
    canvas ??= new OffscreenCanvas(1, 1)
    canvas.width = Math.max(1, Math.round(bitmap.width * scale))
    canvas.height = Math.max(1, Math.round(bitmap.height * scale))
    const ctx = canvas.getContext('2d')!
    // Fine lines of a drawing survive being made small.
    ctx.imageSmoothingQuality = 'high'
    ctx.drawImage(bitmap, 0, 0, canvas.width, canvas.height)
    // PNG, since a drawing's clear ground and sharp lines are part of it.
    return canvas.convertToBlob({ type: 'image/png' })
  })
  if (blob) await keepPreview(id, blob)
  return blob
}

interface Held {
  bitmap: ImageBitmap
  bytes: number
}
/** In the order of use: the first was not looked at for longest. */
const held = new Map<string, Held>()
let heldBytes = 0
const broken = new Set<string>()

async function load(id: string): Promise<void> {
  if (held.has(id) || broken.has(id)) return
  let blob = await storedPreview(id)
  if (!blob) {
    const bytes = await originalBytes(id)
    // Not there is not broken: it may come with the next write.
    if (!bytes) return
    blob = await makePreview(id, bytes)
  }
  const bitmap = blob && (await createImageBitmap(blob).catch(() => undefined))
  if (!bitmap) return void broken.add(id)
  const bytes = bitmap.width * bitmap.height * 4
  held.set(id, { bitmap, bytes })
  heldBytes += bytes
}

/** Lets go of previews beyond the budget, those of `keep` excepted. */
function makeRoom(keep: Set<string>): void {
  for (const [id, h] of held) {
    if (heldBytes <= HELD_BYTES) return
    if (keep.has(id)) continue
    held.delete(id)
    heldBytes -= h.bytes
    h.bitmap.close?.()
  }
}

/** Bytes of pixels held now, for the bench. */
export const pixelsHeld = (): number => heldBytes

/** Whether a page is enlarged so far that previews would show it: it is drawn from the originals then. */
export function wantsOriginals(page: PageMarks, scale: number): boolean {
  let any = false
  visitPage(page, v => {
    if ('item' in v && v.item.kind === 'image')
      any ||= Math.max(v.item.width, v.item.height) * scale > PREVIEW_SIDE * 1.2
  })
  return any
}

let drawing: Promise<unknown> = Promise.resolve()

/**
 * Draws with the pictures that stand on these pages as screens show them. Pages with pictures are drawn one after the other: a strip
 * of twenty that comes into view would hold those of all twenty otherwise.
 */
export function withPreviews<T>(pages: PageMarks[], draw: (pictures: Pictures) => T): Promise<T> {
  const ids = new Set(pages.flatMap(p => [...imagesOn(p)]))
  if (!ids.size) return Promise.resolve().then(() => draw(() => undefined))
  const next = drawing.then(() => drawWith(ids, draw))
  drawing = next.catch(() => undefined)
  return next
}

async function drawWith<T>(ids: Set<string>, draw: (pictures: Pictures) => T): Promise<T> {
  for (const id of ids) {
    await load(id)
    const h = held.get(id)
    if (h) {
      held.delete(id)
      held.set(id, h)
    }
  }
  const drawn = draw(id => held.get(id)?.bitmap)
  makeRoom(ids)
  return drawn
}

/** Draws with the pictures of one page at their full size, for a file that goes out; they are closed afterwards. */
export async function withOriginals<T>(page: PageMarks, draw: (pictures: Pictures) => Promise<T> | T): Promise<T> {
  const open = new Map<string, ImageBitmap>()
  try {
    for (const id of imagesOn(page)) {
      const bytes = await originalBytes(id)
      const bitmap = bytes && (await inTurn(id, () => bitmapOf(bytes)).catch(() => undefined))
      if (bitmap) open.set(id, bitmap)
    }
    return await draw(id => open.get(id))
  } finally {
    for (const b of open.values()) b.close?.()
  }
}
