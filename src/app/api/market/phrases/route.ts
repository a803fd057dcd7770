import { isMarket, relatedPhrases } from '@/core/market'

/** GET /api/market/phrases?market=…&word=…: related phrases with their figures. */
export function GET(request: Request): Response {
  const q = new URL(request.url).searchParams
  const [market, word] = [q.get('market') ?? '', (q.get('word') ?? '').slice(0, 120)]
  if (!isMarket(market)) return Response.json({ error: 'There is no such market.' }, { status: 400 })
  const start = performance.now()
  const phrases = relatedPhrases(word, market)
  return Response.json({ phrases }, { headers: { 'Server-Timing': `market;dur=${(performance.now() - start).toFixed(1)}` } })
}
