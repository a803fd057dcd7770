import { kindOf, RunPress, samplePage, samplePlan } from '@/core/activity'
import type { PagePlan } from '@/core/book'
import { shelf } from '../fontShelf'
import { drawSmall, TINY_GAIN } from '../draw'
import { copied } from '../handing'

// Samples have a press of their own: what a book has drawn is not let go for them.
let press: RunPress | undefined
const samplesPress = (): RunPress => (press ??= new RunPress(shelf))

/** What kinds of run make, before one is chosen. */
export const samples = {
  /** A page of a kind as a new run of it begins, `scale` pixels a point, as a book in this language with this look has it. */
  async kindSample(id: string, scale: number, of: { language: string; look?: string | undefined }) {
    const kind = kindOf(id)
    if (!kind) return undefined
    return copied(drawSmall(await samplePage(samplesPress(), kind, of), scale, () => undefined, { gain: TINY_GAIN }))
  },

  /** A page of a plan as a recipe makes it. */
  async recipeSample(plan: PagePlan, scale: number, language: string) {
    const page = await samplePlan(samplesPress(), plan, language)
    return copied(drawSmall(page, scale, () => undefined, { gain: TINY_GAIN }))
  },
}
