'use client'
import type { Lent, UnmetAt } from '@/core/pages'
import type { Leaves } from '@/core/chain'

/** What each wish is called when it could not be met: once, and more than once. */
const words: Record<UnmetAt['wish'], [string, string]> = {
  widows: ['A line stands alone', 'lines stand alone'],
  strandedHeads: ['A heading stands at a foot', 'headings stand at a foot'],
  unevenSpreads: ['A page ends short', 'pages end short'],
  shortLastPage: ['A last page has fewer than five lines', 'last pages have fewer than five lines'],
  hyphensAtRectoFoot: ['A right page ends in a hyphen', 'right pages end in a hyphen'],
}

const instead: Record<Lent['what'], string> = {
  'small capitals': 'capitals are set smaller in their place',
  'old-style figures': 'figures are lining',
  'lining figures': 'figures are old-style',
  italic: 'the upright stands in',
  bold: 'the regular stands in',
  'bold italic': 'the bold stands in',
}
const cuts: Record<NonNullable<Lent['cut']>, string> = {
  regular: 'Its regular',
  italic: 'Its italic',
  bold: 'Its bold',
  'bold-italic': 'Its bold italic',
}

/** What the pages could not have, with the places, and what the typeface does not have. */
export function Wishes({ leaves, family, onGo }: { leaves: Leaves; family: string; onGo: (page: number) => void }) {
  const kinds = (Object.keys(words) as UnmetAt['wish'][])
    .map(wish => ({ wish, pages: [...new Set(leaves.unmetAt.filter(u => u.wish === wish).map(u => u.page))] }))
    .filter(k => k.pages.length)
  return (
    <div className="wishes">
      {kinds.length === 0 && <p>Facing pages end level; no line and no heading stands alone.</p>}
      {kinds.map(({ wish, pages }) => (
        <p key={wish}>
          {pages.length === 1 ? words[wish][0] : `${pages.length} ${words[wish][1]}`}:{' '}
          {pages.slice(0, 8).map((p, i) => (
            <span key={p}>
              {i > 0 && ', '}
              <button type="button" onClick={() => onGo(p)}>
                page {leaves.pages[p]?.label}
              </button>
            </span>
          ))}
          {pages.length > 8 ? ' …' : '.'}
        </p>
      ))}
      {leaves.borrowed.map(b => (
        <p key={b.from}>
          {family} lacks “{b.characters.slice(0, 10).join('')}”
          {b.characters.length > 10 ? ` and ${b.characters.length - 10} more` : ''}: {b.from} lends{' '}
          {b.characters.length === 1 ? 'it' : 'them'}.
        </p>
      ))}
      {leaves.lent
        .filter(l => !l.cut)
        .map(l => (
          <p key={l.what}>
            {family} has no {l.what}: {instead[l.what]}.
          </p>
        ))}
      {leaves.lent
        .filter(l => l.cut)
        .map(l => (
          <p key={l.what + l.cut}>
            {cuts[l.cut!]} has no {l.what}: {instead[l.what]}.
          </p>
        ))}
    </div>
  )
}
