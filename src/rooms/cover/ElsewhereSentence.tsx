'use client'
import type { CoverDesign, Edition, Wrap } from '@/core/book'
import { ELSEWHERE, type Flat, type LyingSheet } from '@/core/cover'
import type { Finding } from '@/core/check'
import { remedyWords } from '@/core/check'
import { takeOffWrap } from '@/data/elsewhere'
import { ActValue } from '@/parts/ActValue'
import { showLength, showSize } from '@/parts/lengths'
import { ChoiceValue } from '@/parts/Sentence'
import { useCommit } from '@/parts/useCommit'
import { usePress } from '@/parts/usePress'
import { useSay } from '@/parts/useSay'
import type { CoverView } from '@/workers/answers/covers'
import { BeforeAfter, sideBySide } from './BeforeAfter'
import type { ChangeDesign } from './coverChanges'
import { LookedOver } from './LookedOver'

/** What of a cover was made elsewhere: how it lies, what was found in it, and how it follows the spine. */
export function ElsewhereSentence({
  bookId,
  edition,
  outletId,
  cover,
  names,
  findings,
  onChange,
}: {
  bookId: string
  edition: Edition
  outletId: string | undefined
  cover: CoverView
  /** What files are called, by their ids. */
  names: ReadonlyMap<string, string>
  findings: readonly Finding[]
  onChange: ChangeDesign
}) {
  const commit = useCommit(bookId)
  const say = useSay()
  const { elsewhere, flat } = cover
  const [sheet] = elsewhere?.sheets ?? []
  if (!elsewhere || !sheet) return null
  const { wrap } = edition
  const whole = elsewhere.what === 'wrap'
  const off = (): void => {
    if (whole) takeOffWrap(bookId, edition.id).catch(say.failed)
    else onChange('Take the front made elsewhere off', ({ front: _front, ...design }: CoverDesign) => design)
  }
  const set = (label: string, patch: { [K in keyof Wrap]?: Wrap[K] | undefined }): void =>
    void commit(label, r => ({
      editions: r.editions.map(e =>
        e.id === edition.id && e.wrap ? { ...e, wrap: tidy({ ...e.wrap, ...patch }) } : e,
      ),
    }))
  return (
    <section className="stack elsewhere" aria-label="Made elsewhere">
      <h2>Made elsewhere</h2>
      <p>
        {whole ? 'This cover is' : 'The front is'} <b>{names.get(sheet.asset) ?? 'a file without a name'}</b>,{' '}
        {showSize(sheet.made.width, sheet.made.height, 3)}
        {sheet.made.over.top > 0 && ' with its bleed'}
        {sheet.spine !== undefined && `, for a spine of ${showLength(sheet.spine)}`}.{' '}
        {whole && wrap && (
          <>
            The barcode is{' '}
            <ChoiceValue
              label="Barcode of what was made elsewhere"
              value={wrap.barcode ?? 'ours'}
              choices={[
                { value: 'ours', words: 'laid over it' },
                { value: 'in it', words: 'in it already' },
              ]}
              onChange={v => set('Barcode', { barcode: v === 'in it' ? 'in it' : undefined })}
            />
            .{' '}
          </>
        )}
        <ActValue words="Take it off" onAct={off} />, and the design is worn again.
      </p>
      {whole && wrap && sheet.spine !== undefined && (
        <Following
          {...{ bookId, edition, outletId, flat, wrap }}
          sheet={{ ...sheet, spine: sheet.spine }}
          onFollow={follows =>
            set(follows ? 'Follow the spine' : 'Lie as it was made', { atFolds: follows ? 'widened' : undefined })
          }
        />
      )}
      <LookedOver {...{ bookId, outletId, cover }} editionId={edition.id} />
      <Found findings={findings} />
    </section>
  )
}

const tidy = (wrap: { [K in keyof Wrap]?: Wrap[K] | undefined }): Wrap =>
  Object.fromEntries(Object.entries(wrap).filter(([, v]) => v !== undefined)) as unknown as Wrap

/** A hair less or more is no other spine, points. */
const SAME = 0.05

/** The spine is not what the art was made for: it lies as it was made, or follows along both folds. Both are shown first. */
function Following({
  bookId,
  edition,
  outletId,
  flat,
  wrap,
  sheet: { spine, off },
  onFollow,
}: {
  bookId: string
  edition: Edition
  outletId: string | undefined
  flat: Flat
  wrap: Wrap
  sheet: LyingSheet & { spine: number }
  onFollow: (follows: boolean) => void
}) {
  const now = flat.panels.spine.width
  const moved = Math.abs(now - spine) > SAME
  const { answer } = usePress(
    async press =>
      moved
        ? press.followedOf(bookId, edition.id, { height: sideBySide(), ...(outletId ? { outletId } : {}) })
        : undefined,
    [bookId, edition.id, outletId, moved],
    { anew: [now, spine, off.width, wrap] },
  )
  if (!moved) return null
  return (
    <>
      <p>
        The spine is {showLength(now)} now, {showLength(Math.abs(now - spine))} {now > spine ? 'wider' : 'narrower'}.
        Its art{' '}
        <ChoiceValue
          label="Art on another spine"
          value={wrap.atFolds ?? 'as made'}
          choices={[
            { value: 'as made', words: 'lies as it was made' },
            { value: 'widened', words: 'follows along both folds' },
          ]}
          onChange={v => onFollow(v === 'widened')}
        />
        .
      </p>
      {answer && (
        <BeforeAfter
          before={{ picture: answer.asMade, says: 'as it was made' }}
          after={{ picture: answer.followed, says: 'along the folds' }}
        />
      )}
    </>
  )
}

/** What was found in it, numbered as it is marked on the flat. */
function Found({ findings }: { findings: readonly Finding[] }) {
  if (!findings.length) return null
  return (
    <ol className="found">
      {findings.map((f, i) => (
        <li key={i} data-severity={f.severity}>
          {f.message} <span className="remedy">{remedyWords(f)}</span>
        </li>
      ))}
    </ol>
  )
}

/** Of all that was found, what is about something made elsewhere. */
export const foundElsewhere = (findings: readonly Finding[]): Finding[] =>
  findings.filter(f => f.place.kind === 'cover' && f.place.piece === ELSEWHERE)
