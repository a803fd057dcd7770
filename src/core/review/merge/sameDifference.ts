import type { ReviewDifference } from './difference'

/** Whether two differences say the same of the same place. */
export function sameDifference(a: ReviewDifference, b: ReviewDifference): boolean {
  const { place: p, clash: c } = a
  const { place: q, clash: e } = b
  return (
    a.kind === b.kind &&
    a.section === b.section &&
    a.block === b.block &&
    a.about === b.about &&
    a.by === b.by &&
    a.when === b.when &&
    p?.block === q?.block &&
    p?.row === q?.row &&
    p?.from === q?.from &&
    p?.to === q?.to &&
    c?.sent === e?.sent &&
    c?.theirs === e?.theirs &&
    c?.yours === e?.yours &&
    a.parts.length === b.parts.length &&
    a.parts.every((part, i) => part.text === b.parts[i]!.text && part.is === b.parts[i]!.is)
  )
}
