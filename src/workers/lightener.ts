import * as Comlink from 'comlink'
import { keptFor, type Lightener } from '@/core/weight'
import './faults'
import type { LightWorker } from './lighten.worker'
import { lentFile } from './pictureShelf'
import { storedLight } from './storeReader'

/** Workers that the press has for lightening pictures: one a core. They end when they have rested a while, or with the press. */
const MOST = 4
const REST = 15_000

const atOnce = Math.min(MOST, globalThis.navigator?.hardwareConcurrency ?? 1)

interface Hand {
  worker: Worker
  api: Comlink.Remote<LightWorker>
}

const idle: Hand[] = []
let resting: ReturnType<typeof setTimeout> | undefined

function hired(): Hand {
  clearTimeout(resting)
  const free = idle.pop()
  if (free) return free
  const worker = new Worker(new URL('./lighten.worker.ts', import.meta.url), { type: 'module', name: 'lighten' })
  return { worker, api: Comlink.wrap<LightWorker>(worker) }
}

/** Has a worker do one thing. One that breaks down over a picture fails that picture alone. */
async function withHand<T>(work: (api: Hand['api']) => Promise<T>): Promise<T> {
  const hand = hired()
  try {
    const done = await new Promise<T>((resolve, reject) => {
      hand.worker.onerror = () => reject(new Error('It is more than this browser can write.'))
      work(hand.api).then(resolve, reject)
    })
    idle.push(hand)
    return done
  } catch (e) {
    hand.worker.terminate()
    throw e
  } finally {
    clearTimeout(resting)
    resting = setTimeout(() => idle.splice(0).forEach(h => h.worker.terminate()), REST)
  }
}

/** Lightens pictures in workers of the press; what was made before comes from the store. */
export const lightener: Lightener = {
  atOnce,
  study: (picture, across) => withHand(api => api.study(picture, across, lentFile(picture.id))),
  async lighten(picture, aim) {
    const ready = keptFor(await storedLight(picture.id), aim)
    return ready ?? withHand(api => api.lighten(picture, aim, lentFile(picture.id)))
  },
}
