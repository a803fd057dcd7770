'use client'
import { Files } from './Files'
import { Find, type Match } from './Find'
import { Fit } from './Fit'
import type { Overlay } from './PageViews'
import type { SetBook } from './setBook'
import { ShowChoice } from './ShowChoice'
import { SizeChoice } from './SizeChoice'
import type { PageSize } from './usePageSize'

/** What can be done with the pages: other styles, another length, files, what is shown over them, finding words, their size. */
export function Views({
  view,
  size,
  left,
  comparing,
  shown,
  onShow,
  onStyles,
  onFound,
  onGo,
}: {
  view: SetBook
  size: PageSize
  left: number
  /** Two styles held against each other have one size and one layout. */
  comparing: boolean
  shown: ReadonlySet<Overlay>
  onShow: (shown: ReadonlySet<Overlay>) => void
  onStyles: () => void
  onFound: (matches: Match[]) => void
  onGo: (page: number) => void
}) {
  const { book, edition, leaves, figures, version } = view
  return (
    <div className="views">
      <button type="button" onClick={onStyles}>
        styles …
      </button>
      {figures?.pages !== undefined && !book.plan && (
        <Fit bookId={book.id} editionId={edition.id} pages={figures.pages} />
      )}
      <Files book={book} editionId={edition.id} starts={new Set(leaves.starts)} />
      <ShowChoice shown={shown} onShow={onShow} />
      <Find bookId={book.id} editionId={edition.id} version={version} from={left} onGo={onGo} onFound={onFound} />
      {!comparing && (
        <SizeChoice
          layout={size.layout}
          zoom={size.zoom}
          fitted={size.fitted}
          onLayout={size.setLayout}
          onWhole={size.whole}
          onZoom={size.zoomTo}
        />
      )}
    </div>
  )
}
