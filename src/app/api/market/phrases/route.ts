import { isMarket } from '@/core/market'
import { stall } from '../stall'

/** GET /api/market/phrases?market=…&word=…: related phrases with their figures. */
export function GET(request: Request): Response {
  const q = new URL(request.url).searchParams
  const [market, word] = [q.get('market') ?? '', (q.get('word') ?? '').slice(0, 120)]
  if (!isMarket(market)) return Response.json({ error: 'There is no such market.' }, { status: 400 })
  const { related, titles, niches } = stall()
  const start = performance.now()
  const phrases = related(word, market)
  return Response.json(
    { phrases, titles: titles.length, niches: niches.length },
    { headers: { 'Server-Timing': `market;dur=${(performance.now() - start).toFixed(1)}` } },
  )
}
