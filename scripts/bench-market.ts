import { createMarket, markets } from '@/core/market'

/** Makes the simulated marketplace in this process, cold, and asks it: prints milliseconds to make it and of the slowest of its first answers. */
const start = performance.now()
const market = createMarket(1, 50_000)
const made = performance.now() - start
const asked = ['lighthouse', 'mystery', 'log book', 'garden', 'puzzle book for seniors', 'winter'].flatMap(word =>
  markets.map(m => {
    const asking = performance.now()
    market.related(word, m.id)
    return performance.now() - asking
  }),
)
process.stdout.write(JSON.stringify({ made, slowest: Math.max(...asked) }))
