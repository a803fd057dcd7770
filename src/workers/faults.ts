import * as Comlink from 'comlink'
import { Cancelled, Fault, type Remedy } from '@/core/trade'

/**
 * What is thrown crosses between page and worker with its code, its place and its sentence. Imported on both sides; Comlink's own
 * handler carries name and message only.
 */
type Carried =
  | { fault: { code: string; message: string; place?: string; remedy?: Remedy } }
  | { cancelled: true }
  | { error: { name: string; message: string; stack?: string } }
  | { value: unknown }
interface Thrown {
  value: unknown
}

export function carry(value: unknown): Carried {
  if (value instanceof Fault)
    return {
      fault: {
        code: value.code,
        message: value.message,
        ...(value.place === undefined ? {} : { place: value.place }),
        ...(value.remedy && { remedy: value.remedy }),
      },
    }
  if (value instanceof Cancelled) return { cancelled: true }
  if (value instanceof Error)
    return { error: { name: value.name, message: value.message, ...(value.stack ? { stack: value.stack } : {}) } }
  return { value }
}

export function carried(c: Carried): unknown {
  if ('fault' in c) return new Fault(c.fault.code, c.fault.message, c.fault.place, c.fault.remedy)
  if ('cancelled' in c) return new Cancelled()
  if ('error' in c) return Object.assign(new Error(c.error.message), c.error)
  return c.value
}

const original = Comlink.transferHandlers.get('throw')!
Comlink.transferHandlers.set('throw', {
  canHandle: original.canHandle,
  serialize: (thrown: Thrown) => [carry(thrown.value), []],
  deserialize: (c: Carried): never => {
    throw carried(c)
  },
} as Comlink.TransferHandler<Thrown, Carried>)
