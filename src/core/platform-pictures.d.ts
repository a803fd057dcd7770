/** Picture codecs as WASM modules, as far as they are used; their own types want a browser's. */
declare module '@jsquash/jpeg/encode' {
  export function init(module: object | undefined): Promise<void>
  export default function encode(
    pixels: { data: Uint8Array | Uint8ClampedArray; width: number; height: number },
    options: object,
  ): Promise<ArrayBuffer>
}
declare module '@jsquash/jpeg/decode' {
  export function init(module: object | undefined): Promise<void>
  export default function decode(
    bytes: ArrayBuffer,
  ): Promise<{ data: Uint8ClampedArray<ArrayBuffer>; width: number; height: number }>
}
declare module '@jsquash/oxipng/codec/pkg/squoosh_oxipng.js' {
  export default function init(module: Uint8Array | undefined): Promise<unknown>
  // eslint-disable-next-line max-params -- as it is
  export function optimise_raw(
    rgba: Uint8ClampedArray,
    width: number,
    height: number,
    level: number,
    interlace: boolean,
    optimiseAlpha: boolean,
  ): Uint8Array<ArrayBuffer>
}
