/**
 * Counts the ways to choose rows so that every column is covered exactly once (Knuth, "Dancing links", 2000), up to `limit`; the
 * first `limit` choices are handed to `found` as rows' numbers. `rows`: the columns that each covers. What proves puzzles: no maker
 * uses it.
 */
export function exactCovers(
  columns: number,
  rows: readonly (readonly number[])[],
  limit: number,
  found: (chosen: number[]) => void,
): number {
  const nodes = columns + 1 + rows.reduce((n, r) => n + r.length, 0)
  const [left, right, up, down, column, rowOf] = Array.from({ length: 6 }, () => new Int32Array(nodes)) as [
    Int32Array,
    Int32Array,
    Int32Array,
    Int32Array,
    Int32Array,
    Int32Array,
  ]
  const size = new Int32Array(columns + 1)
  // Node 0 is the head; 1 to `columns` head the columns.
  for (let c = 0; c <= columns; c++) {
    left[c] = c ? c - 1 : columns
    right[c] = c === columns ? 0 : c + 1
    up[c] = down[c] = column[c] = c
  }
  let next = columns + 1
  rows.forEach((cols, r) => {
    const first = next
    for (const at of cols) {
      const c = at + 1
      column[next] = c
      rowOf[next] = r
      up[next] = up[c]!
      down[next] = c
      down[up[c]!] = next
      up[c] = next
      left[next] = next === first ? first : next - 1
      right[next] = first
      if (next > first) right[next - 1] = next
      left[first] = next
      size[c]!++
      next++
    }
  })
  const cover = (c: number): void => {
    right[left[c]!] = right[c]!
    left[right[c]!] = left[c]!
    for (let i = down[c]!; i !== c; i = down[i]!)
      for (let j = right[i]!; j !== i; j = right[j]!) {
        up[down[j]!] = up[j]!
        down[up[j]!] = down[j]!
        size[column[j]!]!--
      }
  }
  const uncover = (c: number): void => {
    for (let i = up[c]!; i !== c; i = up[i]!)
      for (let j = left[i]!; j !== i; j = left[j]!) {
        size[column[j]!]!++
        up[down[j]!] = j
        down[up[j]!] = j
      }
    right[left[c]!] = c
    left[right[c]!] = c
  }
  let count = 0
  const chosen: number[] = []
  const search = (): void => {
    if (right[0] === 0) {
      count++
      return found([...chosen])
    }
    let best = right[0]!
    for (let c = right[best]!; c !== 0; c = right[c]!) if (size[c]! < size[best]!) best = c
    if (!size[best]) return
    cover(best)
    for (let r = down[best]!; r !== best && count < limit; r = down[r]!) {
      chosen.push(rowOf[r]!)
      for (let j = right[r]!; j !== r; j = right[j]!) cover(column[j]!)
      search()
      for (let j = left[r]!; j !== r; j = left[j]!) uncover(column[j]!)
      chosen.pop()
    }
    uncover(best)
  }
  search()
  return count
}
