import { seedOf } from '../../trade'
import type { Grid } from './grid'

/**
 * A name that twins share: built only of what stays the same when digits are renamed, rows and columns of a band or whole bands are
 * exchanged, and the grid is turned or mirrored. Two that are no twins hardly ever share it; where they do, the second is not used.
 */
export function twinOf({ size, boxRows, boxCols, unitsOf }: Grid, givens: number[], solution: number[]): string {
  const at = (r: number, c: number): number => r * size + c
  /** How the digits of two lines map on each other: lengths of the cycles; with how many cells of both are given. */
  const pairOf = (a: number[], b: number[]): string => {
    const to = new Map(a.map((cell, i) => [solution[cell]!, solution[b[i]!]!]))
    const cycles: number[] = []
    for (const first of [...to.keys()]) {
      let n = 0
      for (let v: number | undefined = first; v !== undefined && to.has(v); n++) {
        const next: number = to.get(v)!
        to.delete(v)
        v = next
      }
      if (n) cycles.push(n)
    }
    const both = a.filter((cell, i) => givens[cell]! >= 0 && givens[b[i]!]! >= 0).length
    return `${cycles.sort((x, y) => x - y).join('.')}:${both}`
  }
  const linesIn = (lines: number[][], each: number): string => {
    const bands: string[] = []
    for (let b = 0; b < size; b += each) {
      const pairs: string[] = []
      for (let i = b; i < b + each; i++)
        for (let k = b; k < i; k++) pairs.push(pairOf(lines[i]!, lines[k]!), pairOf(lines[k]!, lines[i]!))
      bands.push(pairs.sort().join(','))
    }
    return bands.sort().join(';')
  }
  const all = Array.from({ length: size }, (_, i) => i)
  const rows = linesIn(
    all.map(r => all.map(c => at(r, c))),
    boxRows,
  )
  const columns = linesIn(
    all.map(c => all.map(r => at(r, c))),
    boxCols,
  )
  const unitGivens = new Map<number, number>()
  givens.forEach((g, cell) => g >= 0 && unitsOf[cell]!.forEach(u => unitGivens.set(u, (unitGivens.get(u) ?? 0) + 1)))
  const ofDigit = all.map(v => givens.filter(g => g === v).length)
  const cells = givens.map((g, cell) => {
    const [box, row, column] = unitsOf[cell]!.map(u => unitGivens.get(u) ?? 0)
    return `${g >= 0 ? 'g' : 'e'}${ofDigit[solution[cell]!]},${box},${[row, column].sort().join(',')}`
  })
  // Turned by a quarter, rows are columns (of six, boxes do not turn: nothing is lost by treating them alike).
  return `${size}-${seedOf([rows, columns].sort().join('|')).toString(36)}${seedOf(cells.sort().join('|')).toString(36)}`
}
