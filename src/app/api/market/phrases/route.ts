import { isMarket } from '@/core/market'
import { stall } from '../stall'

/** GET /api/market/phrases?market=…&word=…: related phrases with their figures. */
export function GET(request: Request): Response {
  const q = new URL(request.url).searchParams
  const [id, word] = [q.get('market') ?? '', (q.get('word') ?? '').slice(0, 120)]
  if (!isMarket(id)) return Response.json({ error: 'There is no such market.' }, { status: 400 })
  const market = stall()
  const start = performance.now()
  const phrases = market.related(word, id)
  return Response.json(
    { phrases, titles: market.titles.length, niches: market.niches.length },
    { headers: { 'Server-Timing': `market;dur=${(performance.now() - start).toFixed(1)}` } },
  )
}
