'use client'
import { useLiveQuery } from 'dexie-react-hooks'
import { listBooks } from '@/data/bookList'
import { keptImprints } from '@/data/imprints'
import { keptMatter } from '@/data/matter'
import { keptPenNames } from '@/data/penNames'
import { keptRecipes } from '@/data/recipes'
import { keptStyles } from '@/data/styles'
import { Sill } from '@/parts/Sill'
import { Kept } from './Kept'
import { Imprints } from './Imprints'
import { Matter } from './Matter'
import { PenNames } from './PenNames'
import { useKeptThings } from './useKeptThings'
import './supplies.css'

/** Supplies: what is kept once for all books, with where each is used and under what rights. */
export function SuppliesRoom() {
  const books = useLiveQuery(listBooks)
  const matter = useLiveQuery(keptMatter)
  const imprints = useLiveQuery(keptImprints)
  const names = useLiveQuery(keptPenNames)
  const styles = useLiveQuery(keptStyles)
  const recipes = useLiveQuery(keptRecipes)
  const { styleLines, recipeLines, fontLines } = useKeptThings(books ?? [], styles ?? [], recipes ?? [])
  return (
    <>
      <main id="room" className="room supplies">
        <header className="topline">
          <h1>Supplies</h1>
        </header>
        {books && matter && imprints && names && styles && recipes && (
          <div className="sheet">
            <h2>Standing matter</h2>
            <p className="teach">
              Pages that stand in book after book: kept once, and changed everywhere by one edit. Any section is kept
              from its book’s Text, and placed in another from there.
            </p>
            <Matter matter={matter} books={books} />
            <div className="columns">
              <Imprints imprints={imprints} books={books} />
              <PenNames names={names} books={books} />
            </div>
            <div className="columns">
              <Kept
                title="Styles"
                teach="A style is kept from the Interior of a book that is set in it."
                lines={styleLines}
              />
              <Kept title="Recipes" teach="A recipe is kept from the Pages of a planned book." lines={recipeLines} />
              <Kept
                title="Typefaces"
                teach="A typeface is brought in where a book’s text is set in it, and stays with that book. Those that come with Porchlight are under the SIL Open Font Licence: they may stand in any book."
                lines={fontLines}
              />
            </div>
          </div>
        )}
      </main>
      <Sill
        figures={[
          { name: 'Standing matter', value: String(matter?.length ?? 0) },
          { name: 'Imprints', value: String(imprints?.length ?? 0) },
          { name: 'Pen names', value: String(names?.length ?? 0) },
          { name: 'Styles', value: String(styles?.length ?? 0) },
          { name: 'Recipes', value: String(recipes?.length ?? 0) },
        ]}
      />
    </>
  )
}
