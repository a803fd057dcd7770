'use client'
import { type ReactNode, useRef, useState } from 'react'
import type { Book, CoverDesign } from '@/core/book'
import { dressed, designKinds, type Genre, genres } from '@/core/cover'
import { readDesign, writeDesign } from '@/core/archive'
import { slugOf } from '@/core/book'
import { forgetDesign, keepDesign, keptDesigns, seriesCovers } from '@/data/designs'
import { FilePick } from '@/parts/FilePick'
import { saveAs } from '@/parts/saveAs'
import { ChoiceValue } from '@/parts/Sentence'
import { useAnswer } from '@/parts/useAnswer'
import { usePress } from '@/parts/usePress'
import { useSay } from '@/parts/useSay'
import { WriterOnly } from '@/parts/WriterOnly'
import { type ChangeDesign, redesigned } from './coverChanges'
import type { Drafts } from './useDrafts'

/** Height of a front on the wall, pixels. */
const HEIGHT = 168

/** Where the fronts are drawn for. */
export interface WallOf {
  bookId: string
  editionId: string
  outletId: string | undefined
  book: Book
}

/** Every design as it would look on this book: its own covers, those of its series, kept ones, and those that ship. */
export function DesignWall({
  of,
  design,
  drafts,
  onChange,
}: {
  of: WallOf
  design: CoverDesign
  drafts: Drafts
  onChange: ChangeDesign
}) {
  const { book, bookId } = of
  const [genre, setGenre] = useState<Genre | 'any'>(book.plan ? 'planned pages' : 'any')
  const [turn, setTurn] = useState(0)
  const { answer: kept = [] } = useAnswer(() => keptDesigns(), [], { anew: [turn] })
  const { answer: series = [] } = useAnswer(
    () => seriesCovers(bookId, book.data.series?.name),
    [bookId, book.data.series?.name],
  )
  const say = useSay()
  const wear = (next: CoverDesign): void => onChange(`Wear ${next.name}`, d => redesigned(d, next))
  const keep = (): void =>
    void keepDesign(design, design.name || book.data.title).then(({ design: made, left }) => {
      setTurn(turn + 1)
      say.done(
        `“${made.name}” is kept for all books${left ? `; ${left} of its parts show pictures of this book and stay with it` : ''}.`,
      )
    }, say.failed)
  const bring = (file: File): void =>
    void file
      .text()
      .then(text => {
        const read = readDesign(text)
        return keepDesign(read, read.name)
      })
      .then(() => setTurn(turn + 1), say.failed)
  const shown = designKinds.filter(k => genre === 'any' || k.genres.includes(genre))
  return (
    <div className="wall">
      <Row
        says={<>Of this book, {drafts.all.length ? 'the one it wears and those kept beside' : 'the one it wears'}.</>}
      >
        <Front of={of} design={design} worn name={design.name} />
        {drafts.all.map((d, i) => (
          <Front key={i} of={of} design={d} name={d.name} onWear={() => drafts.wear(i)}>
            <WriterOnly bookId={bookId}>
              <button type="button" onClick={() => drafts.forget(i)} aria-label={`Forget ${d.name}, kept beside`}>
                forget
              </button>
            </WriterOnly>
          </Front>
        ))}
        <WriterOnly bookId={bookId}>
          <p className="keeps">
            <button type="button" onClick={drafts.keep}>
              Keep it beside
            </button>{' '}
            while you try another,{' '}
            <button type="button" onClick={keep}>
              keep it for all books
            </button>
            , or{' '}
            <button
              type="button"
              onClick={() =>
                saveAs(
                  writeDesign(design),
                  `${slugOf(design.name, 'design')}.porchlight-design.json`,
                  'application/json',
                )
              }
            >
              save it as a file
            </button>
            .
          </p>
        </WriterOnly>
      </Row>
      {series.length > 0 && (
        <Row says={<>Of the series “{book.data.series?.name}”: wear the same, and change its colours beside.</>}>
          {series.map(s => (
            <Front key={s.book} of={of} design={s.design} name={s.title} onWear={() => wear(s.design)} />
          ))}
        </Row>
      )}
      <FilePick label="A design’s file" accept=".json" onPick={([file]) => bring(file!)}>
        {pick => (
          <Row
            says={
              <>
                Kept by you for all books
                {kept.length === 0 && ': none yet'}.{' '}
                <button type="button" onClick={pick}>
                  Bring one in from a file
                </button>
              </>
            }
          >
            {kept.map(d => (
              <Front key={d.id} of={of} design={d} name={d.name} onWear={() => wear(d)}>
                <button
                  type="button"
                  aria-label={`Forget ${d.name}`}
                  onClick={() => void forgetDesign(d.id).then(() => setTurn(turn + 1), say.failed)}
                >
                  forget
                </button>
              </Front>
            ))}
          </Row>
        )}
      </FilePick>
      <Row
        says={
          <>
            For{' '}
            <ChoiceValue
              label="Designs for"
              value={genre}
              disabled={false}
              choices={[
                { value: 'any', words: 'any book' },
                ...genres.map(value => ({ value, words: value === 'children' ? 'children’s books' : value })),
              ]}
              onChange={v => setGenre(v as Genre | 'any')}
            />
            , {shown.length} of them:
          </>
        }
      >
        {shown.map(kind => (
          <Front
            key={kind.id}
            of={of}
            design={dressed(kind)}
            name={kind.name}
            worn={kind.id === design.id}
            onWear={() => wear(dressed(kind))}
          />
        ))}
      </Row>
    </div>
  )
}

function Row({ says, children }: { says: ReactNode; children: ReactNode }) {
  return (
    <section>
      <p className="says">{says}</p>
      <div className="fronts">{children}</div>
    </section>
  )
}

/** A front of this book in a design. */
function Front({
  of: { bookId, editionId, outletId, book },
  design,
  name,
  worn = false,
  onWear,
  children,
}: {
  of: WallOf
  design: CoverDesign
  name: string
  worn?: boolean
  onWear?: () => void
  children?: ReactNode
}) {
  const canvas = useRef<HTMLCanvasElement>(null)
  // What it is drawn from: the same words, the same front.
  const drawn = JSON.stringify({ design, data: book.data })
  const { trouble } = usePress(
    async press => {
      const scale = Math.min(2, devicePixelRatio || 1)
      const front = await press.designFront(bookId, editionId, JSON.parse(drawn).design, HEIGHT * scale, outletId)
      const c = canvas.current
      if (!c) return undefined
      c.width = front.width
      c.height = front.height
      c.style.width = `${front.width / scale}px`
      c.getContext('2d')!.drawImage(front, 0, 0)
      return true
    },
    [bookId, editionId, outletId, drawn],
  )
  return (
    <figure data-worn={worn}>
      <button
        type="button"
        disabled={!onWear}
        onClick={onWear}
        aria-label={worn ? `${name}, worn now` : `Wear ${name}`}
      >
        <canvas ref={canvas} style={{ height: HEIGHT }} />
        {trouble && <span role="alert">{trouble}</span>}
      </button>
      <figcaption>
        {name} {children}
      </figcaption>
    </figure>
  )
}
