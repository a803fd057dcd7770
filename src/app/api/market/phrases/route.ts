import { isMarket, prepare, relatedPhrases, world } from '@/core/market'

// The marketplace is made when the first question loads this module; the room asks an empty one as it opens.
prepare()

/** GET /api/market/phrases?market=…&word=…: related phrases with their figures. */
export function GET(request: Request): Response {
  const q = new URL(request.url).searchParams
  const [market, word] = [q.get('market') ?? '', (q.get('word') ?? '').slice(0, 120)]
  if (!isMarket(market)) return Response.json({ error: 'There is no such market.' }, { status: 400 })
  const start = performance.now()
  const phrases = relatedPhrases(word, market)
  return Response.json(
    { phrases, titles: world().titles.length, niches: world().niches.length },
    { headers: { 'Server-Timing': `market;dur=${(performance.now() - start).toFixed(1)}` } },
  )
}
