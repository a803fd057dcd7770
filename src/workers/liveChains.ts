import type { EbookChain, EbookInputs, Graph, PrintChain, PrintInputs } from '@/core/chain'
import type { InteriorStyle } from '@/core/pages'

/** A chain of an edition at an outlet, with what it was given last. */
export interface Live<V extends object, I extends object> {
  edition: string
  outlet: string
  graph: Graph<V>
  given: I
}

/** The chains of an open book, and the styles that its editions are tried in. */
export interface Chains {
  print: Map<string, Live<PrintChain, PrintInputs>>
  ebook: Map<string, Live<EbookChain, EbookInputs>>
  trials: Map<string, { style: InteriorStyle; live: Live<PrintChain, PrintInputs> }>
}
export const chains = new Map<string, Chains>()

export function chainsOf(bookId: string): Chains {
  let own = chains.get(bookId)
  if (!own) chains.set(bookId, (own = { print: new Map(), ebook: new Map(), trials: new Map() }))
  return own
}

/** Sets the inputs that say something else. Small records come anew each time, and identity is what a chain goes by; a text is told by identity alone. */
export function renew<V extends object, I extends object>(live: Live<V, I>, now: I): void {
  for (const name of Object.keys(now) as (keyof I)[]) {
    const [old, value] = [live.given[name], now[name]]
    if (old === value || (name !== 'text' && JSON.stringify(old) === JSON.stringify(value))) continue
    live.graph.set(name as never, value as never)
    live.given = { ...live.given, [name]: value }
  }
}
