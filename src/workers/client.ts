import * as Comlink from 'comlink'
import type { PressApi } from './press.worker'

export type PressClient = Comlink.Remote<PressApi>

let client: PressClient | undefined

/** The press worker, started when first asked for. */
export function press(): PressClient {
  return (client ??= Comlink.wrap<PressApi>(new Worker(new URL('./press.worker.ts', import.meta.url), { type: 'module' })))
}
