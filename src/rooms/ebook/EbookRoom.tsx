'use client'
import Link from 'next/link'
import { useSearchParams } from 'next/navigation'
import { useEffect, useMemo, useState } from 'react'
import type { Book } from '@/core/book'
import { profileOf } from '@/core/outlets'
import { BookTop, NoBook } from '@/parts/BookTop'
import { useOpenBook } from '@/parts/openBook'
import { Sill, sillOf } from '@/parts/Sill'
import { useEarly } from '@/parts/useEarly'
import { press } from '@/workers/client'
import { Alike } from './Alike'
import { Beside } from './Beside'
import { Contents } from './Contents'
import { Pages } from './copy'
import { type At, Desk } from './Desk'
import type { Picked, Seen } from './DeviceView'
import { FileSentence } from './FileSentence'
import { sectionOf, wordsAt } from './place'
import { useReadingCopy } from './useReadingCopy'
import { useWeights } from './useWeights'
import { WeightSentence } from './WeightSentence'
import { Workings } from './Workings'
import './ebook.css'

/** The reading room: the very file that will be sent, read on devices beside the printed page. */
export function EbookRoom({ bookId }: { bookId: string }) {
  const early = useEarly((editionId, outletId) => press().readingCopy(bookId, editionId, outletId))
  const view = useOpenBook(bookId, { look: 'ebook', first: early.first })
  const { book, edition, outletId, version } = view
  const [at, setAt] = useState<At>()
  const [seen, setSeen] = useState<Seen>()
  const [picked, setPicked] = useState<Picked>()
  const [knowing, setKnowing] = useState<'code' | 'sheet'>()
  const [compared, setCompared] = useState<string>()
  const editionId = edition?.id
  const { copy, trouble } = useReadingCopy(bookId, view, early)
  const weighed = useWeights(bookId, editionId, outletId, version)
  const pages = useMemo(() => copy && new Pages(copy), [copy])
  useEffect(() => () => pages?.close(), [pages])

  const asked = useSearchParams()
  const begin = useMemo((): At | undefined => {
    if (!copy || !book) return undefined
    const section = asked.get('section')
    const path = section && copy.spine.find(p => p.endsWith(`/${section}.xhtml`))
    const block = asked.get('block')
    const words = path && block ? wordsAt(book, section, block) : undefined
    if (path) return { path, target: words ? { words } : { at: 'start' } }
    return { path: copy.spine[0] ?? '', target: { at: 'start' } }
    // Where it begins is asked once; afterwards the reader is where they went.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [!copy, !book, asked])
  // A page may be gone from the newer file.
  const here = at && copy?.spine.includes(at.path) ? at : begin

  const lead = (target: string): void => {
    const [path = '', id] = target.split('#')
    if (copy?.files.has(path)) setAt({ path, target: id ? { id } : { at: 'start' } })
  }
  if (view.missing) return <NoBook />
  return (
    <>
      <main id="room" className="room ebookroom">
        <BookTop bookId={bookId} view={view} stage="ebook" section={here && book && readSection(book, here.path)} />
        {book && !edition ? (
          <div className="empty">
            <h2>No ebook yet</h2>
            <p>
              This book has no ebook edition. <Link href={`/book/${encodeURIComponent(bookId)}/plan`}>Plan</Link> adds
              one; it is made from the same text, in the same style, and read here as its readers will.
            </p>
          </div>
        ) : (
          <div className="reading">
            {copy && here ? <Contents nav={copy.nav} path={here.path} onGo={lead} /> : <nav className="leads" />}
            <Desk
              copy={copy}
              outlet={edition && outletId !== undefined ? profileOf(outletId, view.outlets) : undefined}
              pages={pages}
              at={here}
              seen={seen}
              making={!trouble && !view.stopped}
              compare={
                compared !== undefined &&
                weighed &&
                edition && (
                  <Alike
                    bookId={bookId}
                    editionId={edition.id}
                    outletId={outletId}
                    pictures={weighed.weights.pictures}
                    asset={compared}
                    version={version}
                    onShow={setCompared}
                  />
                )
              }
              onSeen={setSeen}
              onPick={setPicked}
              onLead={lead}
              onGo={setAt}
            />
            <aside className="beside">
              {edition && copy && (
                <FileSentence bookId={bookId} view={view} edition={edition} carries={!!pages?.carries} copy={copy} />
              )}
              {edition && weighed && (
                <WeightSentence bookId={bookId} edition={edition} {...weighed} onCompare={setCompared} />
              )}
              {knowing && copy && here && edition ? (
                <Workings
                  bookId={bookId}
                  edition={edition}
                  files={copy.files}
                  path={here.path}
                  shows={knowing}
                  readOnly={view.hold === 'following'}
                  onShow={setKnowing}
                />
              ) : (
                <>
                  {book && (
                    <Beside
                      bookId={bookId}
                      book={book}
                      version={version}
                      flows={!!copy && !copy.fixed}
                      seen={seen}
                      picked={picked}
                    />
                  )}
                  {copy && (
                    <p className="knowing">
                      Inside:{' '}
                      <button type="button" onClick={() => setKnowing('code')}>
                        this page’s code
                      </button>
                      ,{' '}
                      <button type="button" onClick={() => setKnowing('sheet')}>
                        its style sheet
                      </button>
                      .
                    </p>
                  )}
                </>
              )}
            </aside>
          </div>
        )}
      </main>
      <Sill
        figures={view.figures ? sillOf(view.figures, view.was) : []}
        asks={trouble ?? view.trouble ?? (edition && view.settling ? 'making the file …' : undefined)}
      />
    </>
  )
}

/** The section that a page is made of, where it is one of the book's own. */
const readSection = ({ sections }: Book, path: string): string | undefined =>
  sections.find(s => s.id === sectionOf(path))?.id
