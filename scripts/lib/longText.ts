import { createRequire } from 'node:module'
import { seeded } from '../../src/core/trade/chance'

const words = createRequire(import.meta.url)('an-array-of-english-words') as string[]

const common =
  'the of and a to in was he that it his her with as had she for at on not but be they from by one there were which you or so when all out up into them said what then him would who been no their if more could about now like some time over did down only back before well after again little way here how any where old made too has us still while off went came right being through such your must under never us two first good own great own another'.split(
    ' ',
  )

/**
 * Chapters of sentences for timing: words by a Zipf-like law over common words and a list of English ones, with dialogue,
 * so that lengths, punctuation and the number of different words (about 12,500 in 100,000) are those of a novel.
 */
export function longText(total: number, chapters: number, seed = 7): string[][] {
  const rnd = seeded(seed)
  const list = words.filter(w => w.length >= 3 && w.length <= 9)
  const pool: string[] = []
  for (let i = 0; i < 12000; i++) pool.push(list[Math.floor(rnd() * list.length)]!)
  const word = (): string =>
    rnd() < 0.6
      ? common[Math.floor(common.length * rnd() ** 2)]!
      : pool[Math.floor((pool.length - 300) * rnd() ** 2.6 + 300 * rnd())]!
  const out: string[][] = []
  let used = 0
  for (let c = 0; c < chapters; c++) {
    const paras: string[] = []
    const goal = Math.round((total * (c + 1)) / chapters)
    while (used < goal) {
      const speech = rnd() < 0.35
      const sentences = speech ? 1 + Math.floor(rnd() * 2) : 2 + Math.floor(rnd() * 6)
      const parts: string[] = []
      for (let s = 0; s < sentences; s++) {
        const n = Math.min(goal - used + 3, 5 + Math.floor(rnd() * 18))
        const ws: string[] = []
        for (let i = 0; i < n; i++) ws.push(word() + (i < n - 1 && rnd() < 0.09 ? ',' : ''))
        used += n
        ws[0] = ws[0]![0]!.toUpperCase() + ws[0]!.slice(1)
        parts.push(ws.join(' ') + (rnd() < 0.08 ? '?' : '.'))
        if (used >= goal) break
      }
      const t = parts.join(' ')
      paras.push(speech ? `“${t}”` : t)
    }
    out.push(paras)
  }
  return out
}
