'use client'
import type { WeightAtOutlet, Weights } from '@/core/chain'
import { usePress } from '@/parts/usePress'

/** What an ebook weighs, and what that comes to where it is sold; undefined until it is known. */
export function useWeights(
  bookId: string,
  editionId: string | undefined,
  outletId: string | undefined,
  version: number,
): { weights: Weights; atOutlets: WeightAtOutlet[] } | undefined {
  const { answer } = usePress(
    async press => {
      if (!editionId || !version) return undefined
      const weights = await press.weights(bookId, editionId, outletId)
      return { weights, atOutlets: await press.weightAtOutlets(bookId, editionId) }
    },
    [bookId, editionId, outletId, version],
  )
  return answer
}
