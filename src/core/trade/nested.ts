/** An item with those below it. */
export interface Branch<T> {
  item: T
  below: Branch<T>[]
}

/** A list whose items say how deep they stand, as a tree: each stands below the nearest of a lesser depth before it. */
export function nested<T>(items: readonly T[], depthOf: (item: T) => number): Branch<T>[] {
  const top: Branch<T>[] = []
  const open: Branch<T>[] = []
  for (const item of items) {
    while (open.length && depthOf(open.at(-1)!.item) >= depthOf(item)) open.pop()
    const branch: Branch<T> = { item, below: [] }
    ;(open.at(-1)?.below ?? top).push(branch)
    open.push(branch)
  }
  return top
}
