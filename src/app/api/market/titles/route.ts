import { copiesAt, fitRankLaw, isMarket, shopPoints, strengthOf } from '@/core/market'
import { stall } from '../stall'

/** GET /api/market/titles?market=…&phrase=…: the first ten titles of a phrase, each with its strength and copies a month. */
export function GET(request: Request): Response {
  const q = new URL(request.url).searchParams
  const [market, phrase] = [q.get('market') ?? '', (q.get('phrase') ?? '').slice(0, 120)]
  if (!isMarket(market)) return Response.json({ error: 'There is no such market.' }, { status: 400 })
  const law = fitRankLaw(shopPoints)
  const titles = stall()
    .titlesOf(phrase)
    .map(({ niche: _n, ...t }) => ({
      ...t,
      strength: strengthOf(t, phrase),
      copies: Math.round(copiesAt(law, t.rank)),
    }))
  return Response.json({ titles, figures: stall().figuresOf(phrase, market) })
}
