'use client'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import type { StyleDocument } from '@/core/book'
import { styleById } from '@/core/pages'
import { setInStyle } from '@/data/styles'
import type { useEarlyLook } from '@/parts/useEarlyLook'
import { useSay } from '@/parts/useSay'
import { press } from '@/workers/client'
import { Caption } from './Caption'
import { Compare } from './Compare'
import type { Match } from './Find'
import type { Overlay } from './PageViews'
import { Specimen } from './Specimen'
import type { SetBook } from './setBook'
import { spreadOf, Strip } from './Strip'
import { StyleShelf } from './StyleShelf'
import { useOpenPage } from './useOpenPage'
import { usePageKeys } from './usePageKeys'
import { usePageSize } from './usePageSize'
import { Views } from './Views'

/** The open spread with all that is shown of it, and the way to other spreads and other styles. */
export function Pages({
  view,
  look,
  onChange,
}: {
  view: SetBook
  look: ReturnType<typeof useEarlyLook>
  onChange: (path: string, value: number | boolean | string) => void
}) {
  const { book, edition, leaves, figures, version } = view
  const size = usePageSize()
  const single = size.layout === 'single'
  const page = useOpenPage(leaves, { bookId: book.id, editionId: edition.id, single })
  const { left } = page
  const [shown, setShown] = useState<ReadonlySet<Overlay>>(new Set())
  const [found, setFound] = useState<Match[]>([])
  const [choosing, setChoosing] = useState(false)
  const [other, setOther] = useState<{ style: string | StyleDocument; name: string }>()
  const say = useSay()
  const open = useOpenText(view)
  usePageKeys(page, size, !!other)

  const goTo = (p: number): void => page.choose(single ? p : spreadOf(p))
  const changed = Object.keys(edition.styleChanges ?? {}).length > 0
  const { name } = styleById(edition.style, book.styles)
  const at = { bookId: book.id, editionId: edition.id, leaves, version }
  const take = ({ style, name }: NonNullable<typeof other>): void => {
    const shipped = typeof style === 'string'
    void setInStyle(book.id, edition.id, shipped ? { id: style, name } : style, shipped ? undefined : style).then(
      () => setOther(undefined),
      say.failed,
    )
  }
  return (
    <>
      <Caption
        name={name}
        edition={edition}
        leaves={leaves}
        pages={single ? [Math.max(0, left)] : [left, left + 1]}
        trouble={view.trouble}
        onStyles={() => setChoosing(true)}
      />
      {other ? (
        <Compare
          {...at}
          figures={figures}
          left={left}
          name={changed ? `${name}, changed` : name}
          other={other}
          onLeave={() => setOther(undefined)}
          onTake={() => take(other)}
        />
      ) : size.layout === 'all' ? (
        <Strip
          overview
          {...at}
          left={spreadOf(Math.max(0, left))}
          onChoose={l => {
            page.choose(l)
            size.setLayout('spread')
          }}
        />
      ) : (
        <Specimen
          key={edition.id}
          bookId={book.id}
          edition={edition}
          leaves={leaves}
          version={version}
          left={left}
          shown={shown}
          single={single}
          found={found.length || !page.mark ? found : [page.mark]}
          assets={book.assets}
          fonts={book.fonts ?? []}
          hasText={!book.plan}
          zoom={size.zoom}
          onZoom={size.zoomTo}
          onFit={size.setFitted}
          early={look.early(version)}
          onLook={look.look}
          onChange={onChange}
          onPlace={open}
          onGo={goTo}
        />
      )}
      <Views
        view={view}
        size={size}
        left={left}
        comparing={!!other}
        shown={shown}
        onShow={setShown}
        onStyles={() => setChoosing(true)}
        onFound={setFound}
        onGo={p => {
          goTo(p)
          if (size.layout === 'all') size.setLayout('spread')
        }}
      />
      <StyleShelf
        bookId={book.id}
        edition={edition}
        present={leaves.style}
        version={version}
        ratio={leaves.height / leaves.width}
        open={choosing}
        onClose={() => setChoosing(false)}
        onCompare={(style, name) => {
          setOther({ style, name })
          setChoosing(false)
        }}
      />
      {size.layout !== 'all' && <Strip {...at} left={spreadOf(Math.max(0, left))} onChoose={page.go} />}
    </>
  )
}

/** A click on a page opens the text that stands there; a made page is made from the plan. */
function useOpenText({ book, edition }: SetBook): (page: number, x: number, y: number) => void {
  const router = useRouter()
  const say = useSay()
  return (page, x, y) =>
    void press()
      .placeAt(book.id, edition.id, page, x, y)
      .then(place => {
        if (!place || book.plan) return
        const { section, block, chars } = place
        const room = `/book/${encodeURIComponent(book.id)}`
        const query = `section=${encodeURIComponent(section)}&block=${encodeURIComponent(block)}&chars=${chars}`
        const made = book.sections.find(s => s.id === section)?.made
        router.push(made ? `${room}/plan` : `${room}/text?${query}`)
      }, say.failed)
}
