import file from './sayings.json' with { type: 'json' }

/** Sayings that ship, written for it. */
export const sayings: readonly string[] = file
