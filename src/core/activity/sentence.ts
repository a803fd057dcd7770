/**
 * The sentence of a kind for some values: what stands in [name=value: …] is said only where that value is the one named. Clauses do not
 * stand in one another.
 */
export const saidFor = (sentence: string, values: Record<string, unknown>): string =>
  sentence.replace(/\[(\w+)=([^:\]]+):([^\]]*)\]/g, (_all, name: string, value: string, said: string) =>
    String(values[name]) === value ? said : '',
  )
