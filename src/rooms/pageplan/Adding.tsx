'use client'
import { Button } from 'antd'
import { useLiveQuery } from 'dexie-react-hooks'
import { useRef, useState } from 'react'
import {
  families,
  type Family,
  fitted,
  newRun,
  type Recipe,
  type RunKind,
  runKinds,
  shippedRecipes,
  withRecipe,
  withRecipeSections,
} from '@/core/activity'
import { readRecipe, writeRecipe } from '@/core/archive'
import type { Book, Edition } from '@/core/book'
import { commitSections } from '@/data/changes'
import { forgetRecipe, keepRecipe, keptRecipes } from '@/data/recipes'
import { FilePick, type FilePicker } from '@/parts/FilePick'
import { saveAs } from '@/parts/saveAs'
import { useCommit } from '@/parts/useCommit'
import { useOutlets } from '@/parts/useOutlets'
import { useSay } from '@/parts/useSay'
import { RecipeAsked } from './RecipeAsked'
import { type Offer, Shelf } from './Shelf'

const anySeed = (): number => crypto.getRandomValues(new Uint32Array(1))[0]!

/** What there is to choose from: whole books and kept runs by recipe, and every kind of run. What is chosen is begun, and opened. */
export function Adding({
  bookId,
  book: { plan = { runs: [] }, data },
  onAdded,
  onClose,
}: {
  bookId: string
  book: Book
  onAdded: (id: string | undefined) => void
  /** Absent where there is nothing else to look at. */
  onClose: (() => void) | undefined
}) {
  const commit = useCommit(bookId)
  const [recipe, setRecipe] = useState<Recipe>()
  const own = useLiveQuery(keptRecipes) ?? []
  const { language } = data
  const { look } = plan
  const add = (kind: RunKind): void => {
    const fresh = newRun(plan, kind, anySeed())
    void commit(`Add ${kind.name.toLowerCase()} pages`, r => ({
      plan: fitted({ ...plan, ...r.plan, runs: [...(r.plan?.runs ?? []), fresh] }),
    }))
    onAdded(fresh.id)
  }
  const byRecipe = (r: Recipe): Offer => ({
    id: r.id,
    name: r.name,
    says: r.says,
    of: JSON.stringify([language, r.plan]),
    sample: (p, scale) => p.recipeSample(r.plan, scale, language),
    take: () => setRecipe(r),
  })
  const whole = shippedRecipes.map(byRecipe)
  const kept = own.map(r => ({ ...byRecipe(r), besides: <Parting recipe={r} /> }))
  const kinds = (Object.keys(families) as Family[]).map(family => ({
    name: families[family],
    offers: runKinds
      .filter(k => k.family === family)
      .map(kind => ({
        id: kind.id,
        name: kind.name,
        says: kind.says,
        of: JSON.stringify([language, look]),
        sample: (p, scale) => p.kindSample(kind.id, scale, { language, look }),
        take: () => add(kind),
      })) satisfies Offer[],
  }))
  const books = { name: 'Whole books by recipe', offers: whole }
  const keptGroup = kept.length ? [{ name: 'Recipes of your own', offers: kept }] : []
  const empty = !plan.runs.length
  return (
    <Shelf
      groups={[...keptGroup, ...(empty ? [books] : []), ...kinds, ...(empty ? [] : [books])].filter(
        g => g.offers.length,
      )}
      onClose={onClose}
    >
      {recipe ? (
        <RecipeSaid
          bookId={bookId}
          language={language}
          recipe={recipe}
          onDone={() => onAdded(undefined)}
          onLeave={() => setRecipe(undefined)}
        />
      ) : (
        <p className="teach">
          {empty
            ? 'A recipe is a whole book in one step. Or begin with a run: a block of like pages, of any of the kinds below.'
            : 'A run is a block of like pages. Each kind is shown as a page that it makes, in the look of this book.'}{' '}
          <BringIn />
        </p>
      )}
    </Shelf>
  )
}

/** The chosen recipe, and what it asks; taken, its runs stand in the plan, and an empty book gets its trim. */
function RecipeSaid({
  bookId,
  language,
  recipe,
  onDone,
  onLeave,
}: {
  bookId: string
  language: string
  recipe: Recipe
  onDone: () => void
  onLeave: () => void
}) {
  const say = useSay()
  const outlets = useOutlets() ?? []
  const { trim } = recipe
  return (
    <RecipeAsked
      language={language}
      recipe={recipe}
      onLeave={onLeave}
      onTake={asked => {
        const seed = anySeed()
        const inTrim = (e: Edition): Edition => {
          const printer = outlets.find(o => o.id === e.outlets[0])
          const offered = printer?.print?.bindings.find(b => b.kind === e.kind)?.trims
          const sized = trim && offered?.includes(trim) ? { ...e, trim } : e
          return recipe.style && e.kind !== 'ebook'
            ? { ...sized, styleChanges: { ...recipe.style, ...e.styleChanges } }
            : sized
        }
        void commitSections(bookId, `By recipe: ${recipe.name}`, book => {
          const isEmpty = !book.plan?.runs.length
          const made = isEmpty ? withRecipeSections(book, recipe) : book
          return {
            ...made,
            plan: withRecipe(book.plan ?? { runs: [] }, recipe, { ...asked, seed }),
            ...(isEmpty && { editions: book.editions.map(inTrim) }),
          }
        }).then(onDone, say.failed)
      }}
    />
  )
}

/** A kept recipe goes to a file, or away. */
function Parting({ recipe }: { recipe: Recipe }) {
  const say = useSay()
  return (
    <span className="parting">
      <Button
        size="small"
        type="link"
        aria-label={`Save ${recipe.name} as a file`}
        onClick={() => saveAs(writeRecipe(recipe), `${recipe.id}.recipe.json`, 'application/json')}
      >
        as a file
      </Button>
      <Button
        size="small"
        type="link"
        aria-label={`Forget ${recipe.name}`}
        onClick={() => void forgetRecipe(recipe.id).catch(say.failed)}
      >
        forget
      </Button>
    </span>
  )
}

function BringIn() {
  const say = useSay()
  const pick = useRef<FilePicker>(null)
  const bring = ([file]: File[]): void =>
    void file!
      .text()
      .then(readRecipe)
      .then(keepRecipe)
      .then(() => say.note('The recipe is kept.'), say.failed)
  return (
    <>
      <Button size="small" type="link" onClick={() => pick.current?.open()}>
        Bring in a recipe
      </Button>
      <FilePick ref={pick} label="A recipe’s file" accept=".json,application/json" onPick={bring} />
    </>
  )
}
