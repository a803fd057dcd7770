import * as Comlink from 'comlink'
import type { Book, Section } from '@/core/book'
import { Cancelled, Fault, type OutletProfile } from '@/core/trade'
import './faults'
import type { PressApi } from './press.worker'
import { awaited, hear, isAwaited, latestStage, refuseAll } from './waitingFor'

export type PressClient = Comlink.Remote<PressApi>

let worker: Worker | undefined
let client: PressClient | undefined
/** What the press already has of each book. */
const sent = new Map<string, { sections: Map<string, Section>; turn: number }>()
let turns = 0
/** The outlets that it was told of. */
let told: readonly OutletProfile[] | undefined
/** The picture that it decodes just now, by name. */
let picture: string | undefined

/** The press worker, started when first asked for. */
export function press(): PressClient {
  if (!client) {
    performance.mark('porchlight worker')
    worker = new Worker(new URL('./press.worker.ts', import.meta.url), { type: 'module', name: 'press' })
    listenTo(worker)
    const remote = Comlink.wrap<PressApi>(worker)
    client = new Proxy(remote, {
      get: (r, name) =>
        typeof name === 'string'
          ? (...args: unknown[]) =>
              awaited((r[name as keyof PressClient] as (...a: unknown[]) => Promise<unknown>)(...args), name)
          : Reflect.get(r, name),
    })
    void remote.tellTo(Comlink.proxy(hear))
  }
  return client
}

/** Stops whatever the press is doing: its worker ends, calls that wait are refused as Cancelled, the next call starts another. */
export const stopPress = (): void => end(() => new Cancelled())

function end(why: () => Error): void {
  worker?.terminate()
  clearInterval(watch)
  worker = client = watch = picture = undefined
  sent.clear()
  told = undefined
  refuseAll(why)
}

/** The press's own pulse. It works without a pause for seconds at times (a file of a long book); what is silent longer is dead. */
const SILENT_FOR = 25_000
let heard = 0
let watch: ReturnType<typeof setInterval> | undefined

/** What a dead press was last heard to be at: the cause that can be offered. */
export const pressDied = 'press-died'

function listenTo(at: Worker): void {
  heard = Date.now()
  const died = (): void => {
    if (at !== worker) return
    const cause = picture
    const stage = latestStage()
    const where = cause ? ` at the picture “${cause}”` : stage ? ` while it was at “${stage}”` : ''
    end(() => new Fault(pressDied, `The press broke down${where}. Nothing you wrote is touched by it.`, cause))
  }
  // The pulse comes beside the answers; it counts only while somebody waits, since a press at rest is let be by the browser.
  at.addEventListener('message', e => {
    const said = e.data as { pulse?: true; picture?: string } | null
    if (said?.pulse) heard = Date.now()
    if (said && 'picture' in said) picture = said.picture
  })
  at.addEventListener('error', died)
  watch = setInterval(() => {
    if (!isAwaited()) heard = Date.now()
    else if (Date.now() - heard > SILENT_FOR) died()
  }, 1000)
}

/**
 * Gives the press a book, or what is new of it: sections are told apart by identity. Updates are numbered; where the press has
 * missed one (it was started anew) it gets the whole book. `known`: the outlets that there are; `lent`: pictures that are not in the store.
 */
export async function openAtPress(
  book: Book,
  known: readonly OutletProfile[],
  lent?: Map<string, Uint8Array>,
): Promise<void> {
  if (told !== known) {
    told = known
    // Calls are answered in their order: what follows knows of them.
    // Stopped before it heard, it is told again: it forgets what it was told when it ends.
    void press()
      .setOutlets([...known])
      .catch(() => undefined)
  }
  const { sections, ...head } = book
  const held = sent.get(book.id)
  const turn = ++turns
  const fresh = sections.filter(s => held?.sections.get(s.id) !== s)
  sent.set(book.id, { sections: new Map(sections.map(s => [s.id, s])), turn })
  try {
    await press().open({
      head,
      order: sections.map(s => s.id),
      sections: fresh,
      after: held?.turn ?? 0,
      turn,
      ...(lent && !held ? { lent } : {}),
    })
  } catch (e) {
    sent.delete(book.id)
    if (e instanceof Fault && e.code === 'gap') return openAtPress(book, known, lent)
    throw e
  }
}

/** The press forgets a book that is gone. */
export async function closeAtPress(bookId: string): Promise<void> {
  sent.delete(bookId)
  await press().close(bookId)
}

export const proxied = Comlink.proxy
