import { RunPress } from '@/core/activity'
import { type Edition, pairKey } from '@/core/book'
import { ebookChain, type EbookChain, type Graph, printChain, type PrintChain, type Tools } from '@/core/chain'
import { homeOutlet } from '@/core/outlets'
import { type InteriorStyle, Setter } from '@/core/pages'
import { Fault } from '@/core/trade'
import { ebookInputsOf, printInputsOf } from './editionInputs'
import { shelf } from './fontShelf'
import { chains, chainsOf, type Live, renew } from './liveChains'
import { bookOf, follow, type OpenedBook } from './openBooks'
import { knownOutlets, onOutlets } from './outlets'
import { ports } from './ports'
import { otherBooks } from './storeReader'
import { tellAndHear } from './telling'

/** What all chains work with: what is set once serves every edition and outlet. */
export const tools: Tools = {
  setter: new Setter(shelf),
  runs: new RunPress(shelf),
  shelf,
  ports,
  others: otherBooks,
  ticker: tellAndHear,
}

/** Before an edition's id: the edition in the style that it is tried in. */
const TRIAL = 'trial:'

/** Chains of a book that are kept now: for tests, and for the curious. */
export const chainCount = (bookId: string): number => chainsOf(bookId).print.size + chainsOf(bookId).ebook.size

/** An edition of an open book. Throws a Fault where it is not in it any more. */
export function editionOf(bookId: string, id: string): Edition {
  const e = bookOf(bookId).book.editions.find(x => x.id === id)
  if (!e) throw new Fault('no-edition', 'This edition is not in the book any more.')
  return e
}

export const outletOf = (e: Edition, outletId?: string): string => outletId ?? homeOutlet(e, knownOutlets())

/** The chain of a print edition at an outlet, made when first asked for; of a trial, by the edition's id with what `trialOf` puts before it. */
export function chainOf(bookId: string, editionId: string, outletId?: string): Graph<PrintChain> {
  const b = bookOf(bookId)
  if (editionId.startsWith(TRIAL)) {
    const trial = chainsOf(bookId).trials.get(editionId.slice(TRIAL.length))
    if (!trial) throw new Fault('no-trial', 'This style is not being tried.')
    return trial.live.graph
  }
  const e = b.book.editions.find(x => x.id === editionId)
  if (!e || e.kind === 'ebook') throw new Fault('not-printed', 'This edition is not printed.')
  const at = outletOf(e, outletId)
  const key = pairKey(editionId, at)
  let live = chainsOf(bookId).print.get(key)
  if (!live) {
    const given = printInputsOf(b, e, at)
    chainsOf(bookId).print.set(key, (live = { edition: editionId, outlet: at, given, graph: printChain(given, tools) }))
  }
  return live.graph
}

/** The chain of an ebook at an outlet. Its page list names the pages of the book's first print edition, whose front it wears. */
export function ebookOf(bookId: string, editionId: string, outletId?: string): Graph<EbookChain> {
  const b = bookOf(bookId)
  const e = editionOf(bookId, editionId)
  const at = outletOf(e, outletId)
  const key = pairKey(editionId, at)
  let live = chainsOf(bookId).ebook.get(key)
  if (!live) {
    const beside = (): Graph<PrintChain> | undefined => {
      const print = bookOf(bookId).book.editions.find(x => x.kind !== 'ebook')
      return print && chainOf(bookId, print.id)
    }
    const given = ebookInputsOf(b, e, at)
    const graph = ebookChain(given, beside, tools)
    chainsOf(bookId).ebook.set(key, (live = { edition: editionId, outlet: at, given, graph }))
  }
  return live.graph
}

/** Sets an edition in another style beside its own. */
export function tryStyle(bookId: string, editionId: string, style: InteriorStyle): Graph<PrintChain> {
  const b = bookOf(bookId)
  const e = editionOf(bookId, editionId)
  const at = outletOf(e)
  const given = { ...printInputsOf(b, e, at), style }
  const old = chainsOf(bookId).trials.get(editionId)
  if (old && JSON.stringify(old.style) === JSON.stringify(style)) {
    renew(old.live, { ...given, style: old.style })
    return old.live.graph
  }
  const live = { edition: editionId, outlet: at, given, graph: printChain(given, tools) }
  chainsOf(bookId).trials.set(editionId, { style, live })
  return live.graph
}

// All chains of a book are given what it is now; chains of editions that are gone go.
follow({ taken: renewAll, closed: id => chains.delete(id) })

// An outlet that says something else is another input; one that went is asked for when its figures are.
onOutlets(() => {
  for (const id of chains.keys()) renewAll(bookOf(id))
})

function renewAll(b: OpenedBook): void {
  const edition = new Map(b.book.editions.map(e => [e.id, e]))
  const all = <V extends object, I extends object>(
    live: Map<string, Live<V, I>>,
    inputs: (b: OpenedBook, e: Edition, outletId: string) => I,
  ): void => {
    for (const [key, l] of live) {
      const e = edition.get(l.edition)
      if (e && knownOutlets().some(p => p.id === l.outlet)) renew(l, inputs(b, e, l.outlet))
      else live.delete(key)
    }
  }
  all(chainsOf(b.book.id).print, printInputsOf)
  all(chainsOf(b.book.id).ebook, ebookInputsOf)
}
