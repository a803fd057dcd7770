/** A matrix of ones as linked nodes. Node 0 is the head, 1 to the number of columns head the columns, all others are ones. */
class Links {
  readonly left!: Int32Array
  readonly right!: Int32Array
  readonly up!: Int32Array
  readonly down!: Int32Array
  readonly column!: Int32Array
  readonly row!: Int32Array
  readonly size!: Int32Array

  constructor(columns: number, rows: readonly (readonly number[])[]) {
    const nodes = columns + 1 + rows.reduce((n, r) => n + r.length, 0)
    const list = (): Int32Array => new Int32Array(nodes)
    const [left, right, up, down] = [list(), list(), list(), list()]
    const [column, row, size] = [list(), list(), new Int32Array(columns + 1)]
    for (let c = 0; c <= columns; c++) {
      left[c] = c ? c - 1 : columns
      right[c] = c === columns ? 0 : c + 1
      up[c] = down[c] = column[c] = c
    }
    let next = columns + 1
    rows.forEach((ones, r) => {
      const first = next
      for (const at of ones) {
        const c = at + 1
        column[next] = c
        row[next] = r
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
    Object.assign(this, { left, right, up, down, column, row, size })
  }

  cover(c: number): void {
    const { left, right, up, down, column, size } = this
    right[left[c]!] = right[c]!
    left[right[c]!] = left[c]!
    for (let i = down[c]!; i !== c; i = down[i]!)
      for (let j = right[i]!; j !== i; j = right[j]!) {
        up[down[j]!] = up[j]!
        down[up[j]!] = down[j]!
        size[column[j]!]!--
      }
  }

  uncover(c: number): void {
    const { left, right, up, down, column, size } = this
    for (let i = up[c]!; i !== c; i = up[i]!)
      for (let j = left[i]!; j !== i; j = left[j]!) {
        size[column[j]!]!++
        up[down[j]!] = j
        down[up[j]!] = j
      }
    right[left[c]!] = c
    left[right[c]!] = c
  }

  /** The open column with the fewest ones. */
  fewest(): number {
    let best = this.right[0]!
    for (let c = this.right[best]!; c !== 0; c = this.right[c]!) if (this.size[c]! < this.size[best]!) best = c
    return best
  }
}

/**
 * Counts the ways to choose rows so that every column is covered exactly once (Knuth, "Dancing links", 2000), up to `limit`; each
 * choice is handed to `found` as rows' numbers. `rows`: the columns that each covers. What proves puzzles: no maker uses it.
 */
export function exactCovers(
  columns: number,
  rows: readonly (readonly number[])[],
  limit: number,
  found: (chosen: number[]) => void,
): number {
  const links = new Links(columns, rows)
  const { left, right, down, column, row } = links
  let count = 0
  const chosen: number[] = []
  const search = (): void => {
    if (right[0] === 0) {
      count++
      return found([...chosen])
    }
    const best = links.fewest()
    links.cover(best)
    for (let r = down[best]!; r !== best && count < limit; r = down[r]!) {
      chosen.push(row[r]!)
      for (let j = right[r]!; j !== r; j = right[j]!) links.cover(column[j]!)
      search()
      for (let j = left[r]!; j !== r; j = left[j]!) links.uncover(column[j]!)
      chosen.pop()
    }
    links.uncover(best)
  }
  search()
  return count
}
