import type { BreakRules } from './breakRules'

/** What is taken from a line on one side. */
const taken = (indents: number[] | undefined, line: number): number =>
  indents?.length ? indents[Math.min(line, indents.length - 1)]! : 0

/** What is taken from the right of a line, points. */
export const takenRight = (rules: Pick<BreakRules, 'rightIndents'>, line: number): number =>
  taken(rules.rightIndents, line)

/** Width of each line; the last entry holds for all that follow. */
export function lineWidths({ measure, indents, rightIndents }: BreakRules): number[] {
  const out: number[] = []
  for (let i = 0; i < Math.max(1, indents.length, rightIndents?.length ?? 0); i++)
    out.push(measure - taken(indents, i) - taken(rightIndents, i))
  return out
}

export const widthOf = (widths: readonly number[], line: number): number =>
  widths[line < widths.length ? line : widths.length - 1]!

/** By how much lines of one paragraph differ in width at most. */
export function unlike(widths: number[]): number {
  let [least, most] = [Infinity, -Infinity]
  for (const w of widths) {
    if (w < least) least = w
    if (w > most) most = w
  }
  return most - least
}
