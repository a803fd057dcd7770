import type { MarketTitle, PhraseFigures } from '@/core/market'

export type ShownTitle = Omit<MarketTitle, 'niche'> & { strength: number; copies: number }

async function ask<T>(path: string): Promise<T> {
  let response: Response
  try {
    response = await fetch(path)
  } catch {
    throw new Error('The marketplace cannot be reached now. What you kept is still here.')
  }
  const body = (await response.json()) as T & { error?: string }
  if (!response.ok) throw new Error(body.error ?? 'The marketplace gave no answer.')
  return body
}

/** Related phrases, and how large the marketplace is that they were measured in. */
export const askPhrases = async (
  market: string,
  word: string,
): Promise<{ phrases: PhraseFigures[]; titles: number; niches: number }> =>
  ask(`/api/market/phrases?market=${market}&word=${encodeURIComponent(word)}`)
export const askTitles = async (
  market: string,
  phrase: string,
): Promise<{ titles: ShownTitle[]; figures?: PhraseFigures }> =>
  ask(`/api/market/titles?market=${market}&phrase=${encodeURIComponent(phrase)}`)
