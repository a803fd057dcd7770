import { readFile } from 'node:fs/promises'
import { createCanvas, ImageData, loadImage } from '@napi-rs/canvas'
import { fontSource } from '@/cli/ports'
import { shippedFonts } from '@/core/type'

/** The few things of a browser's worker that the press asks for, so that its modules run in Node: fonts by address, canvases, pictures. */
const keys = new Map(Object.entries(shippedFonts).map(([key, file]) => [`/fonts/${file}`, key]))

const served: Record<string, string> = {
  '/fonts/harfbuzz-subset.wasm': 'node_modules/harfbuzzjs/dist/harfbuzz-subset.wasm',
  '/colour/coated-offset.icc': 'colour/coated-offset.icc',
  '/colour/lcms.wasm': 'node_modules/lcms-wasm/dist/lcms.wasm',
}

// A port that somebody listens at would keep the tests from ending.
class LooseChannel extends MessageChannel {
  constructor() {
    super()
    setTimeout(() => (this.port1 as unknown as { unref(): void }).unref())
  }
}

Object.assign(globalThis, {
  ImageData,
  MessageChannel: LooseChannel,
  fetch: async (address: string) => {
    const file = served[address]
    const bytes = file ? await readFile(file) : await fontSource(keys.get(address) ?? '')
    return bytes ? new Response(Uint8Array.from(bytes)) : new Response(null, { status: 404 })
  },
  OffscreenCanvas: function (width: number, height: number) {
    const canvas = createCanvas(width, height)
    return Object.assign(canvas, {
      // A canvas is as good as a bitmap of it here.
      transferToImageBitmap: () => canvas,
      convertToBlob: async ({ type }: { type: string }) =>
        new Blob([
          Uint8Array.from(type === 'image/png' ? await canvas.encode('png') : await canvas.encode('jpeg', 90)),
        ]),
    })
  },
  createImageBitmap: async (blob: Blob) => loadImage(Buffer.from(await blob.arrayBuffer())),
})
