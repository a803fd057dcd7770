'use client'
import { Button } from 'antd'
import { useState } from 'react'
import { type Asked, asksOf, plannedPages, type Recipe } from '@/core/activity'
import type { WordSource } from '@/core/words'
import { DateValue } from '@/parts/DateValue'
import { WordsOf, WordsValue } from './Words'

/** A recipe in a sentence whose values are what it asks. */
export function RecipeAsked({
  recipe,
  language,
  onTake,
  onLeave,
}: {
  recipe: Recipe
  /** Of the book, as a tag. */
  language: string
  onTake: (asked: Asked) => void
  onLeave: () => void
}) {
  const asks = asksOf(recipe)
  const [words, setWords] = useState(asks.words)
  const [from, setFrom] = useState(asks.from)
  const take = async (source: WordSource): Promise<boolean> => {
    setWords(source)
    return true
  }
  return (
    <section className="note recipe" aria-label={`By recipe: ${recipe.name}`}>
      <h2>{recipe.name}</h2>
      <p>
        {recipe.says[0]!.toUpperCase() + recipe.says.slice(1)}: {plannedPages(recipe.plan)} pages in{' '}
        {recipe.plan.runs.length === 1 ? 'one run' : `${recipe.plan.runs.length} runs`}
        {words && (
          <>
            , its words from <WordsValue label="Words" source={words} sayings={false} onChange={take} />
          </>
        )}
        {from && (
          <>
            , from <DateValue label="First day" value={from} onChange={setFrom} /> on
          </>
        )}
        .
      </p>
      {words && <WordsOf label="Words" language={language} source={words} minds={{ clued: false }} onChange={take} />}
      <p className="ways">
        <Button type="primary" onClick={() => onTake({ ...(words && { words }), ...(from && { from }) })}>
          Make these pages
        </Button>
        <Button type="text" onClick={onLeave}>
          Leave it
        </Button>
      </p>
    </section>
  )
}
