import names from './names.json' with { type: 'json' }

/** Outlines as a value of a sentence: none, every silhouette in turn, or one of them. Their shapes are loaded where they are wanted. */
export const outlineChoices: readonly { value: string; words: string }[] = [
  { value: 'none', words: 'the whole grid' },
  { value: 'turn', words: 'a silhouette, another on each page' },
  ...names.map(id => ({ value: id, words: `the ${id.replace(/-/g, ' ')}` })),
]
