/** A likeness in words, never more than it is: "98.1 %". */
export const percent = (likeness: number): string => `${(Math.floor(likeness * 1000) / 10).toFixed(1)}\u00a0%`

/** The same beside a figure; of what is as it was, that. */
export const alike = (likeness: number): string => (likeness === 1 ? 'the same' : percent(likeness))
