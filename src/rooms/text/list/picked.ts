/** What is picked of a list by a click on one of its rows: it alone, it too or no more (with Ctrl), or all from the one that is open to it (with Shift). */
export function pickedBy(
  order: readonly string[],
  picked: ReadonlySet<string>,
  {
    open,
    on,
    toggles,
    extends: extending,
  }: { open: string | undefined; on: string; toggles: boolean; extends: boolean },
): ReadonlySet<string> {
  if (extending && open !== undefined) {
    const [a, b] = [order.indexOf(open), order.indexOf(on)].sort((x, y) => x - y) as [number, number]
    if (a >= 0) return new Set(order.slice(a, b + 1))
  }
  if (!toggles) return new Set([on])
  const next = new Set(picked)
  if (!next.delete(on)) next.add(on)
  // Something is always picked.
  return next.size ? next : picked
}

/** Of what is picked, what is in the book still; the open one where nothing is. */
export function stillPicked(order: readonly string[], picked: ReadonlySet<string>, open: string | undefined): string[] {
  const there = order.filter(id => picked.has(id))
  if (there.length) return there
  return open !== undefined && order.includes(open) ? [open] : []
}
