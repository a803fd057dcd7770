const collator = new Intl.Collator('en', { numeric: true })

/** Files by their names as people count: "2" before "10". */
export const inNameOrder = (files: readonly File[]): File[] =>
  [...files].sort((a, b) => collator.compare(a.name, b.name))
