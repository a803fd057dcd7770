import names from './names.json' with { type: 'json' }

/** The value that says that a run has a shape of its own. */
export const OWN = 'own'

/** The silhouettes that ship, as choices. */
export const stockChoices: readonly { value: string; words: string }[] = names.map(id => ({
  value: id,
  words: id.replace(/-/g, ' '),
}))

/** Outlines as a value of a sentence: none, every silhouette in turn, one of the author's own, or one that ships. Their shapes are loaded where they are wanted. */
export const outlineChoices: readonly { value: string; words: string }[] = [
  { value: 'none', words: 'the whole grid' },
  { value: 'turn', words: 'a silhouette, another on each page' },
  { value: OWN, words: 'a shape of my own' },
  ...names.map(id => ({ value: id, words: `the ${id.replace(/-/g, ' ')}` })),
]
