/** Puts things one below the other that want to stand at a height each: none covers another, and each is as near as it can be to where it belongs. All in pixels; in order of `wants`. */
export function stacked(things: readonly { wants: number; height: number }[], apart: number): number[] {
  let end = Number.NEGATIVE_INFINITY
  return things.map(({ wants, height }) => {
    const top = Math.max(wants, end + apart)
    end = top + height
    return top
  })
}
