/** Cells of a grid, row by row, that are the same as one and hang together with it by their sides; marks them as seen. */
export function alike(
  cells: Uint8Array,
  { rows, cols, first, seen }: { rows: number; cols: number; first: number; seen: Uint8Array },
): number[] {
  const part = [first]
  seen[first] = 1
  for (const at of part) {
    const [r, c] = [Math.floor(at / cols), at % cols]
    for (const [y, x] of [
      [r - 1, c],
      [r + 1, c],
      [r, c - 1],
      [r, c + 1],
    ] as const) {
      const next = y * cols + x
      if (y < 0 || x < 0 || y >= rows || x >= cols || seen[next] || cells[next] !== cells[first]) continue
      seen[next] = 1
      part.push(next)
    }
  }
  return part
}
