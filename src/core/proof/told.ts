import type { KeptProof } from '@/core/book'

/** What a proof-reader is told: a word that is right, or the name of a doubt that is left. */
export type Told = { word: string } | { left: string }

/** What was told, and this as well. */
function toldOf(told: KeptProof | undefined, what: Told): KeptProof {
  const { words, left } = told ?? { words: [], left: [] }
  const more = (all: string[], one: string): string[] => (all.includes(one) ? all : [...all, one])
  return 'word' in what ? { words: more(words, what.word), left } : { words, left: more(left, what.left) }
}

/** What was told, without this. */
function untoldOf({ words, left }: KeptProof, what: Told): KeptProof {
  return 'word' in what
    ? { words: words.filter(w => w !== what.word), left }
    : { words, left: left.filter(l => l !== what.left) }
}

/** What is kept of what was told, it being told something or told it no more; nothing, where nothing is left. */
export function keptTold(told: KeptProof | undefined, what: Told, stands: boolean): KeptProof | undefined {
  const now = stands ? toldOf(told, what) : untoldOf(told ?? { words: [], left: [] }, what)
  return now.words.length || now.left.length ? now : undefined
}
