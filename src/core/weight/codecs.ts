import decode, { init as initDecoder } from '@jsquash/jpeg/decode'
import encode, { init as initEncoder } from '@jsquash/jpeg/encode'
import initPng, { optimise_raw } from '@jsquash/oxipng/codec/pkg/squoosh_oxipng.js'
import type { Pixels } from '../pdf'

/** What pictures are written and read by. */
export interface Codecs {
  /** A JPEG of a quality from 1 to 100; of light and dark alone where it is grey. */
  jpeg(pixels: Pixels, quality: number, grey: boolean): Promise<Uint8Array>
  jpegPixels(bytes: Uint8Array): Promise<Pixels>
  /** A PNG of the same pixels with as few bits as they need: greys as greys, few colours by a palette. */
  png(pixels: Pixels): Uint8Array
}

/** The modules that they are made of, by the names of their files. */
export type CodecModule = 'mozjpeg_enc.wasm' | 'mozjpeg_dec.wasm' | 'squoosh_oxipng_bg.wasm'

declare const WebAssembly: { compile(bytes: Uint8Array): Promise<object> }

const GREY = 1
const COLOUR = 3
/** Of 0 to 6: the first that tries several ways of packing. */
const PNG_EFFORT = 1

/** The decoder makes its pixels by the name that browsers have for them. */
class PlainImageData {
  constructor(
    readonly data: Uint8ClampedArray,
    readonly width: number,
    readonly height: number,
  ) {}
}

/** MozJPEG and OxiPNG. `bytesOf` gives their modules where they cannot be fetched from beside their scripts. */
export async function loadCodecs(bytesOf?: (module: CodecModule) => Promise<Uint8Array>): Promise<Codecs> {
  const compiled = async (name: CodecModule): Promise<object | undefined> =>
    bytesOf && WebAssembly.compile(await bytesOf(name))
  ;(globalThis as { ImageData?: unknown }).ImageData ??= PlainImageData
  await initEncoder(await compiled('mozjpeg_enc.wasm'))
  await initDecoder(await compiled('mozjpeg_dec.wasm'))
  await initPng(await bytesOf?.('squoosh_oxipng_bg.wasm'))
  return {
    async jpeg({ width, height, rgba }, quality, grey) {
      // Written at one go: in passes it takes twice the time and is no lighter. Baseline, which every reading program knows.
      const options = { quality, progressive: false, baseline: true, color_space: grey ? GREY : COLOUR }
      return new Uint8Array(await encode({ data: rgba, width, height }, options))
    },
    async jpegPixels(bytes) {
      const { data, width, height } = await decode(new Uint8Array(bytes).buffer)
      return { width, height, rgba: data }
    },
    png: ({ width, height, rgba }) =>
      optimise_raw(
        new Uint8ClampedArray(rgba.buffer, rgba.byteOffset, rgba.length),
        width,
        height,
        PNG_EFFORT,
        false,
        false,
      ),
  }
}
