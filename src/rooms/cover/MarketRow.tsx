'use client'
import { type ReactNode, useRef } from 'react'
import type { Book } from '@/core/book'
import { markets } from '@/core/market'
import { askPhrases, askTitles, type ShownTitle } from '@/parts/marketClient'
import { useAnswer } from '@/parts/useAnswer'
import { usePress } from '@/parts/usePress'

/** Height of fronts in a shop's list, pixels. */
const HEIGHT = 160
/** Where among the others this one stands: in the middle of the first row. */
const AMONG = 3

/** The book's front among those that readers see beside it: the first titles of the phrase that its author kept for it. */
export function MarketRow({ book, own }: { book: Book; own: ReactNode }) {
  const { words, data } = book
  const { answer, trouble } = useAnswer(() => shelfFor({ words, data }), [words, data])
  if (trouble) return <p role="alert">{trouble}</p>
  if (!answer)
    return (
      <p className="says">
        Keep a phrase for this book in Research, and its front stands here among those that readers see for it.
      </p>
    )
  const others = answer.titles.slice(0, 9)
  return (
    <section className="market">
      <p className="says">
        Among what readers see who search for “{answer.phrase}”
        {!words?.length && ', for no phrase is kept for this book in Research'}:
      </p>
      <div className="fronts">
        {others.slice(0, AMONG).map(t => (
          <MarketFront key={t.title} title={t.title} author={t.author} />
        ))}
        {own}
        {others.slice(AMONG).map(t => (
          <MarketFront key={t.title} title={t.title} author={t.author} />
        ))}
      </div>
    </section>
  )
}

/** What readers see for a book: for the first phrase that its author kept, or for one that its subjects and title lead to. */
async function shelfFor({
  words,
  data,
}: Pick<Book, 'words' | 'data'>): Promise<{ phrase: string; titles: ShownTitle[] } | undefined> {
  const [kept] = words ?? []
  if (kept) return { phrase: kept.phrase, titles: (await askTitles(kept.market, kept.phrase)).titles }
  const [market] = markets
  const asked = [...data.subjects, data.title].flatMap(s => s.toLowerCase().match(/\p{L}{4,}/gu) ?? [])
  for (const word of new Set(asked)) {
    const [first] = (await askPhrases(market.id, word)).phrases
    const titles = first ? (await askTitles(market.id, first.phrase)).titles : []
    if (first && titles.length) return { phrase: first.phrase, titles }
  }
  return undefined
}

function MarketFront({ title, author }: { title: string; author: string }) {
  const canvas = useRef<HTMLCanvasElement>(null)
  const { trouble } = usePress(
    async press => {
      const front = await press.marketFront(title, author, HEIGHT * 2)
      const c = canvas.current
      if (!c) return undefined
      c.width = front.width
      c.height = front.height
      c.getContext('2d')!.drawImage(front, 0, 0)
      return true
    },
    [title, author],
  )
  if (trouble) return <p role="alert">{trouble}</p>
  return <canvas ref={canvas} style={{ height: HEIGHT }} role="img" aria-label={`Front of ${title} by ${author}`} />
}
