'use client'
import { Button } from 'antd'
import type { Edition, StyleDocument } from '@/core/book'
import { shippedStyles } from '@/core/pages'
import { forgetStyle } from '@/data/styles'
import { saveAs } from '@/parts/saveAs'
import { useSay } from '@/parts/useSay'
import { StyleSample } from './StyleSample'

/** A style by its name; `document`: one of the author's own. */
export interface ShownStyle {
  id: string
  name: string
  words: string
  document?: StyleDocument
}

/** One style, shown by this book's own first page, and what can be done with it. */
export function StyleCard({
  style,
  of,
  onChoose,
  onCompare,
}: {
  style: ShownStyle
  /** The book that it is shown by, and the form of its page. */
  of: { bookId: string; edition: Edition; version: number; ratio: number; follows: boolean }
  onChoose: () => void
  onCompare: () => void
}) {
  const { id, name, words, document } = style
  const { bookId, edition, version, ratio, follows } = of
  const say = useSay()
  const current = id === edition.style
  const save = (): void => {
    const text = JSON.stringify(document ?? shippedStyles.find(x => x.id === id), null, 2) + '\n'
    saveAs(text, `${id}.json`, 'application/json')
  }
  return (
    <li aria-current={current ? 'true' : undefined}>
      <StyleSample
        bookId={bookId}
        editionId={edition.id}
        style={document ?? id}
        version={version}
        width={132}
        ratio={ratio}
        label={`The first chapter in ${name}`}
      />
      <div>
        <h3>{name}</h3>
        <p>{words}</p>
        <p className="acts">
          {current ? (
            <span className="now">{edition.styleChanges ? 'set in it, with changes' : 'set in it'}</span>
          ) : (
            <>
              <Button size="small" type="primary" disabled={follows} onClick={onChoose}>
                Set the book in it
              </Button>
              <Button size="small" onClick={onCompare}>
                Hold against the present
              </Button>
            </>
          )}
          <Button size="small" type="text" onClick={save} aria-label={`Save ${name} as a file`}>
            Save as a file
          </Button>
          {document && !current && (
            <Button
              size="small"
              type="text"
              onClick={() => void forgetStyle(id).catch(say.failed)}
              aria-label={`Forget ${name}`}
            >
              Forget
            </Button>
          )}
        </p>
      </div>
    </li>
  )
}
