/**
 * HarfBuzz, loaded once. The import stands inside the function on purpose: the module awaits its WASM at top level, which
 * would delay a worker's first message.
 */
export type HarfBuzz = typeof import('harfbuzzjs')

let loaded: Promise<HarfBuzz> | undefined

export function loadHarfBuzz(): Promise<HarfBuzz> {
  return (loaded ??= import('harfbuzzjs'))
}
