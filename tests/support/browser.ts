import { readFile } from 'node:fs/promises'
import { createCanvas, loadImage } from '@napi-rs/canvas'
import { fontSource } from '@/cli/ports'
import { shippedFonts } from '@/core/type'

/** The few things of a browser's worker that the press asks for, so that its modules run in Node: fonts by address, canvases, pictures. */
const keys = new Map(Object.entries(shippedFonts).map(([key, file]) => [`/fonts/${file}`, key]))

// A port that somebody listens at would keep the tests from ending.
class LooseChannel extends MessageChannel {
  constructor() {
    super()
    setTimeout(() => (this.port1 as unknown as { unref(): void }).unref())
  }
}

Object.assign(globalThis, {
  MessageChannel: LooseChannel,
  fetch: async (address: string) => {
    const bytes = address.endsWith('harfbuzz-subset.wasm')
      ? await readFile('node_modules/harfbuzzjs/dist/harfbuzz-subset.wasm')
      : await fontSource(keys.get(address) ?? '')
    return bytes ? new Response(Uint8Array.from(bytes)) : new Response(null, { status: 404 })
  },
  OffscreenCanvas: function (width: number, height: number) {
    const canvas = createCanvas(width, height)
    return Object.assign(canvas, {
      convertToBlob: async ({ type }: { type: string }) =>
        new Blob([
          Uint8Array.from(type === 'image/png' ? await canvas.encode('png') : await canvas.encode('jpeg', 90)),
        ]),
    })
  },
  createImageBitmap: async (blob: Blob) => loadImage(Buffer.from(await blob.arrayBuffer())),
})
