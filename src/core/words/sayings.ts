import type { Bank } from './banks'
import file from './sayings.json' with { type: 'json' }

/** Sayings that ship, written for it. */
export const sayings: readonly string[] = file

/** The sayings as a list to be dealt from. */
export const sayingBank: Bank = { id: 'sayings', name: 'Sayings', words: sayings.map(word => ({ word })) }
