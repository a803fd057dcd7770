'use client'
import { useLiveQuery } from 'dexie-react-hooks'
import { useSearchParams } from 'next/navigation'
import { useState } from 'react'
import { isMarket, type MarketId, markets, type PhraseFigures } from '@/core/market'
import { listBooks } from '@/data/bookList'
import { keepQuestion, type LastQuestion, lastQuestion } from '@/data/research'
import { useAnswer } from '@/parts/useAnswer'
import { useSay } from '@/parts/useSay'
import { askPhrases, askTitles, type ShownTitle } from '@/parts/marketClient'

/** What is asked of the market: for which book, in which market, a word. It is remembered from one visit to the next. */
export function useQuestion() {
  const asked = useSearchParams().get('book')
  const books = useLiveQuery(listBooks)
  const remembered = useLiveQuery(lastQuestion)
  const [choice, setChoice] = useState<LastQuestion>({})
  const say = useSay()
  const stated = choice.market ?? remembered?.market
  const market: MarketId = stated && isMarket(stated) ? stated : markets[0].id
  const word = choice.word ?? remembered?.word ?? ''
  const bookId = choice.book ?? asked ?? remembered?.book ?? books?.[0]?.id
  const book = books?.find(b => b.id === bookId) ?? books?.[0]
  const choose = (patch: LastQuestion): void => {
    const next = { market, word, ...(book ? { book: book.id } : {}), ...choice, ...patch }
    setChoice(next)
    void keepQuestion(next).catch(say.failed)
  }
  return { books: books ?? [], book, market, word, choose }
}

/** What the market says of a word, and of the phrase that is looked at. */
export function useMarketAnswers(
  market: MarketId,
  word: string,
  chosen: string | undefined,
): {
  /** How large the marketplace is, once it is made. */
  size?: { titles: number; niches: number }
  phrases?: PhraseFigures[]
  /** Of the phrase that is looked at. */
  titles?: ShownTitle[]
  trouble?: string
  busy: boolean
} {
  // An empty question has the marketplace made while the author still thinks of a word.
  const { answer: made, trouble: unmade } = useAnswer(async () => askPhrases(markets[0].id, ''), [])
  const { answer, trouble: unasked } = useAnswer(
    async () => (word ? { key: `${market}/${word}`, phrases: (await askPhrases(market, word)).phrases } : undefined),
    [market, word],
  )
  const { answer: titles, trouble: untitled } = useAnswer(
    async () => (chosen ? { phrase: chosen, titles: (await askTitles(market, chosen)).titles } : undefined),
    [market, chosen],
  )
  const trouble = unmade ?? unasked ?? untitled
  return {
    ...(made ? { size: made } : {}),
    ...(answer ? { phrases: answer.phrases } : {}),
    ...(titles && titles.phrase === chosen ? { titles: titles.titles } : {}),
    ...(trouble ? { trouble } : {}),
    busy: !!word && !trouble && answer?.key !== `${market}/${word}`,
  }
}
