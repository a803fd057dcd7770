'use client'
import type { Recipe } from '@/core/activity'
import type { StyleDocument } from '@/core/book'
import type { BookRecord } from '@/data/records'
import { forgetRecipe } from '@/data/recipes'
import { forgetStyle } from '@/data/styles'
import { useSay } from '@/parts/useSay'
import type { FontRights } from '@/core/type'
import type { KeptLine } from './Kept'
import { useFontRights } from './useFontRights'

/** Letters of a maker's own words that are shown. */
const SHOWN = 160

/** Under what rights a typeface stands in books, in its maker's words where there are any. */
function rightsInWords(rights: FontRights | undefined): string {
  if (!rights) return 'its files cannot be read.'
  const own = (rights.licence ?? rights.copyright ?? '').replace(/\s+/g, ' ').replace(/\.$/, '')
  const shown = own.length > SHOWN ? `${own.slice(0, SHOWN).trimEnd()} …` : own
  return `its maker allows it ${rights.embedding}${shown ? `: “${shown}”` : ''}.`
}

/** Styles, recipes and typefaces as lines: what each is, the books that use it, and how it is let go. */
export function useKeptThings(
  books: readonly BookRecord[],
  styles: readonly StyleDocument[],
  recipes: readonly Recipe[],
): { styleLines: KeptLine[]; recipeLines: KeptLine[]; fontLines: KeptLine[] } {
  const say = useSay()
  const gone = (work: Promise<void>): void => void work.catch(say.failed)
  const using = (uses: (b: BookRecord) => boolean): KeptLine['books'] =>
    books.filter(uses).map(b => ({ id: b.id, title: b.data.title }))
  const families = new Map(books.flatMap(b => (b.fonts ?? []).map(f => [f.id, f] as const)))
  const rights = useFontRights([...families.values()])
  return {
    styleLines: styles.map(s => ({
      id: s.id,
      name: s.name,
      says: 'Your own.',
      books: using(b => b.editions.some(e => e.style === s.id)),
      room: 'interior',
      forget: () => gone(forgetStyle(s.id)),
    })),
    recipeLines: recipes.map(r => ({
      id: r.id,
      name: r.name,
      says: r.says || 'Your own.',
      books: [],
      room: 'pages',
      forget: () => gone(forgetRecipe(r.id)),
    })),
    fontLines: [...families.values()].map(f => ({
      id: f.id,
      name: f.name,
      says: `${Object.keys(f.files).length === 1 ? 'One cut' : `${Object.keys(f.files).length} cuts`}; ${rights ? rightsInWords(rights.get(f.id)) : 'its files are looked at …'}`,
      books: using(b => !!b.fonts?.some(x => x.id === f.id)),
      room: 'interior',
    })),
  }
}
