'use client'
import type { Edition, EbookSettings } from '@/core/book'
import type { WeightAtOutlet, Weights } from '@/core/chain'
import { formatMoney } from '@/core/trade'
import { LEAST_LIKENESS, SCREENS } from '@/core/weight'
import { megabytes } from '@/parts/megabytes'
import { ChoiceValue, NumberValue, Sentence } from '@/parts/Sentence'
import { useCommit } from '@/parts/useCommit'
import { alike, percent } from './likeness'
import { withSettings } from './settings'

/** How alike pictures are to begin with: the eye finds no difference at reading size. */
const USUAL_LIKENESS = 0.95
const PERCENT = { factor: 100, step: 0.5, digits: 1, unit: '%' }
const MEGABYTES = { factor: 1e-6, step: 0.5, digits: 1, unit: 'MB' }
/** A limit is near from so much of it on. */
const NEAR = 0.8

const ways = [
  { value: 'own', words: 'go as they came' },
  { value: 'likeness', words: 'are as light as they can be' },
  { value: 'weight', words: 'are made so light' },
]

/** How light the pictures of an ebook are made, and what comes of it. */
export function WeightSentence({
  bookId,
  edition,
  weights,
  atOutlets,
  onCompare,
}: {
  bookId: string
  edition: Edition
  weights: Weights
  atOutlets: readonly WeightAtOutlet[]
  onCompare: (asset: string) => void
}) {
  'use memo'
  const commit = useCommit(bookId)
  const wish = edition.ebook?.light
  const way = !wish ? 'own' : 'likeness' in wish ? 'likeness' : 'weight'
  const take = (light: EbookSettings['light'], merge = false): void =>
    void commit(
      'Weight of the ebook',
      withSettings(edition.id, ({ light: _old, ...rest }) => ({ ...rest, ...(light ? { light } : {}) })),
      merge,
    )
  // Said as soon as anything is: pictures that come later make no screen smaller.
  const screens = { across: weights.across }
  const values: Record<string, React.ReactNode> = {
    way: (
      <ChoiceValue
        key="way"
        label="Pictures of the ebook"
        value={way}
        choices={ways}
        onChange={v =>
          take(
            v === 'likeness'
              ? { likeness: USUAL_LIKENESS, ...screens }
              : v === 'weight'
                ? { weight: Math.ceil(weights.is / 2 / 1e5) * 1e5, ...screens }
                : undefined,
          )
        }
      />
    ),
    likeness: wish && 'likeness' in wish && (
      <NumberValue
        key="likeness"
        label="Least likeness"
        value={wish.likeness}
        least={LEAST_LIKENESS}
        most={0.995}
        form={PERCENT}
        onChange={likeness => take({ likeness: Math.round(likeness * 1000) / 1000, ...screens }, true)}
      />
    ),
    weight: wish && 'weight' in wish && (
      <NumberValue
        key="weight"
        label="Most weight"
        value={wish.weight}
        least={1e5}
        most={1e9}
        form={MEGABYTES}
        onChange={w => take({ weight: Math.round(w), ...screens }, true)}
      />
    ),
    across: wish && (
      <ChoiceValue
        key="across"
        label="Screens"
        value={String(weights.across)}
        choices={SCREENS.map(s => ({ value: String(s), words: s.toLocaleString('en-GB') }))}
        onChange={v => take({ ...wish, across: Number(v) })}
      />
    ),
  }
  const words = {
    own: 'Its pictures {way}.',
    likeness: 'Its pictures {way} and at least {likeness} like the originals, for screens of {across} pixels across.',
    weight: 'Its pictures {way} that all of it weighs at most {weight}, for screens of {across} pixels across.',
  }[way]
  return (
    <div className="weight">
      <h2>Its weight</h2>
      {weights.pictures.length > 0 && (
        <p>
          <Sentence words={words} value={name => values[name]} /> {comeTo(weights, wish)}
        </p>
      )}
      {atOutlets.map(o => (
        <AtOutlet key={o.outletId} at={o} lighter={weights.is < weights.was} />
      ))}
      <Pictures weights={weights} onCompare={onCompare} />
    </div>
  )
}

/** What came of it. */
function comeTo({ is, was, pictures }: Weights, wish: EbookSettings['light']): string {
  if (!wish) return ''
  const smaller = pictures.filter(p => p.from).length
  const failed = pictures.filter(p => p.failed !== undefined)
  return [
    is < was
      ? `It weighs ${megabytes(is)} instead of ${megabytes(was)}.`
      : 'Nothing lighter was found: they go as they came.',
    ...('weight' in wish && is < was && pictures[0]
      ? [`They are at least ${percent(pictures[0].likeness)} like the originals.`]
      : []),
    ...('weight' in wish && is > wish.weight
      ? [`It cannot be as light as ${megabytes(wish.weight)} without spoiling them.`]
      : []),
    ...(smaller
      ? [
          `${smaller === 1 ? 'One picture has' : `${smaller} pictures have`} more pixels than that, and ${smaller === 1 ? 'goes' : 'go'} smaller.`,
        ]
      : []),
    ...failed.map(f => `${f.name ?? 'A picture'} goes as it came. ${f.failed}`),
  ].join(' ')
}

/** What the weight comes to at an outlet. */
function AtOutlet({ at, lighter }: { at: WeightAtOutlet; lighter: boolean }) {
  'use memo'
  const { brings, currency, most, is } = at
  const more = brings ? brings.is - brings.was : 0
  const near = most !== undefined && is > most * NEAR
  const money = (amount: number): string => formatMoney(amount, currency)
  const said = !at.charges
    ? undefined
    : !brings
      ? `At ${at.outlet} weight costs; without a price it is not known how much.`
      : [
          `At ${at.outlet} a copy brings ${money(brings.is)}`,
          at.delivery ? `, its delivery of ${money(at.delivery)} taken off` : ', its delivery free',
          lighter && more > 0 ? `: ${money(more)} more than with the originals.` : '.',
        ].join('')
  const limit = near ? `${at.outlet} takes at most ${megabytes(most)}.` : undefined
  if (!said && !limit) return null
  return <p>{[said, limit].filter(Boolean).join(' ')}</p>
}

/** Pictures that are shown at first. */
const FEW = 6

/** The pictures, the least alike first. */
function Pictures({ weights: { pictures }, onCompare }: { weights: Weights; onCompare: (asset: string) => void }) {
  'use memo'
  const heaviest = Math.max(1, ...pictures.map(p => p.was))
  if (!pictures.length) return <p>It has no pictures that could be lighter.</p>
  return (
    <ul className="weights">
      {pictures.slice(0, FEW).map(p => (
        <li key={p.asset}>
          <button type="button" onClick={() => onCompare(p.asset)}>
            {p.name ?? 'a picture'}
          </button>
          <span>
            {p.is < p.was ? `${megabytes(p.is)} of ${megabytes(p.was)}, ${alike(p.likeness)}` : megabytes(p.is)}
          </span>
          <i style={{ width: `${(p.was / heaviest) * 100}%` }}>
            <b style={{ width: `${(p.is / p.was) * 100}%` }} />
          </i>
        </li>
      ))}
      {pictures.length > FEW && (
        <li>
          <button type="button" onClick={() => onCompare(pictures[FEW]!.asset)}>
            and {pictures.length - FEW} more …
          </button>
        </li>
      )}
    </ul>
  )
}
