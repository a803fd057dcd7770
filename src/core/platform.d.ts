// What the core may use beyond the language itself: the few globals that browsers, workers and Node share.
declare class TextEncoder {
  encode(text?: string): Uint8Array<ArrayBuffer>
}
declare class TextDecoder {
  constructor(label?: string, options?: { fatal?: boolean; ignoreBOM?: boolean })
  decode(bytes?: Uint8Array | ArrayBuffer): string
}
