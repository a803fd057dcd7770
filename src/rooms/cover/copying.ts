import type { Asset, CoverDesign, CoverPiece } from '@/core/book'
import type { useSay } from '@/parts/useSay'
import { type ChangeDesign, copied, pasted } from './coverChanges'
import { copiedPieces } from './piecesAside'

/** Copies of what is held, on the same cover or from another. */
export function copying({
  design,
  inHand,
  assets,
  name,
  change,
  hold,
  say,
}: {
  design: CoverDesign | undefined
  inHand: readonly CoverPiece[]
  assets: readonly Asset[]
  /** What is held, as it is called. */
  name: string
  change: ChangeDesign
  hold: (ids: readonly string[]) => void
  say: ReturnType<typeof useSay>
}): { copy: () => void; paste: () => void } {
  const copy = (): void => {
    const [only, ...others] = inHand
    if (!design || !only) return
    const of = (d: CoverDesign): { design: CoverDesign; ids: string[] } => {
      if (others.length) return pasted(d, inHand)
      const one = copied(d, only.id)
      return { design: one.design, ids: [one.id] }
    }
    change(`Copy the ${name}`, d => of(d).design)
    hold(of(design).ids)
  }
  const paste = (): void => {
    const { pieces, left } = copiedPieces(assets)
    if (left) say.done(`${left} of the copied pieces show pictures of another book and were left out.`)
    if (!design || !pieces.length) return
    change('Put copied pieces on the cover', d => pasted(d, pieces).design)
    hold(pasted(design, pieces).ids)
  }
  return { copy, paste }
}
