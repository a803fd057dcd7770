import type { Bank } from './banks'
import file from './sayings.json' with { type: 'json' }

/** Sayings that ship, written for it. */
export const sayings: readonly string[] = file

/** An author's own sayings: what stands on the lines of a text. */
export const linesOf = (text: string): string[] =>
  text
    .split(/\r?\n/)
    .map(line => line.trim())
    .filter(Boolean)

/** The sayings as a list to be dealt from. */
export const sayingBank: Bank = { id: 'sayings', name: 'Sayings', words: sayings.map(word => ({ word })) }
