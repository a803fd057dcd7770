import * as Comlink from 'comlink'
import { Fault } from '@/core/trade'

/** What goes over to the page instead of being copied. */

export function handed(canvas: OffscreenCanvas): ImageBitmap {
  const bitmap = canvas.transferToImageBitmap()
  return Comlink.transfer(bitmap, [bitmap])
}

/** A copy of what is seen on a canvas now: it may be drawn on again. */
export async function copied(canvas: OffscreenCanvas): Promise<ImageBitmap> {
  const bitmap = await createImageBitmap(canvas)
  return Comlink.transfer(bitmap, [bitmap])
}

/** An answer whose files go over: a book's pictures are in memory once. */
export function handedOver<T extends object>(answer: T, files: Map<string, Uint8Array>[]): T {
  const buffers = new Set(files.flatMap(f => [...f.values()].map(b => b.buffer as ArrayBuffer)))
  return Comlink.transfer(answer, [...buffers])
}

/** A file that was made, with its name. */
export const handedFile = <T extends { bytes: Uint8Array }>(file: T): T => Comlink.transfer(file, [file.bytes.buffer])

/** The bytes of a file of the browser's. Throws a Fault where it cannot be read. */
export async function bytesOf(file: Blob): Promise<Uint8Array> {
  const buffer = await file.arrayBuffer().catch(() => undefined)
  if (!buffer)
    throw new Fault('unreadable', 'This file could not be read: it was moved or changed meanwhile, or is too large.')
  return new Uint8Array(buffer)
}
