/** Puts a list into an order by chance, in place (Fisher and Yates). */
export function shuffled<T>(list: T[], chance: () => number): T[] {
  for (let i = list.length - 1; i > 0; i--) {
    const k = Math.floor(chance() * (i + 1))
    ;[list[i], list[k]] = [list[k]!, list[i]!]
  }
  return list
}
