'use client'
import { Button, Drawer, Input } from 'antd'
import { useLiveQuery } from 'dexie-react-hooks'
import { useState } from 'react'
import type { Edition, StyleDocument } from '@/core/book'
import { type InteriorStyle, readStyleDocument, shippedStyles } from '@/core/pages'
import { forgetStyle, freshStyleId, keepStyle, keptStyles, setInStyle } from '@/data/styles'
import { saveAs } from '@/parts/saveAs'
import { useFollows } from '@/parts/WriterOnly'
import { StyleSample } from './StyleSample'
import { useSay } from '@/parts/useSay'
import { FilePick } from '@/parts/FilePick'

/** The styles there are, each shown by this book's own first page: set the book in one, hold one against the present, keep, bring in and give away own ones. */
export function StyleShelf({
  bookId,
  edition,
  present,
  version,
  ratio,
  open,
  onClose,
  onCompare,
}: {
  bookId: string
  edition: Edition
  /** The style as it stands, with its changes. */ present: InteriorStyle
  version: number
  ratio: number
  open: boolean
  onClose: () => void
  onCompare: (style: string | StyleDocument, name: string) => void
}) {
  const own = useLiveQuery(keptStyles) ?? []
  const [name, setName] = useState('')
  const say = useSay()
  const follows = useFollows(bookId)

  const keep = async (): Promise<void> => {
    const style = {
      ...present,
      id: freshStyleId(
        name,
        [...shippedStyles, ...own].map(s => s.id),
      ),
      name: name.trim(),
    } as StyleDocument
    await keepStyle(style)
    await setInStyle(bookId, edition.id, style, style)
    setName('')
    say.done(`“${style.name}” is kept, and this edition is set in it.`)
  }
  const bringIn = async (file: File): Promise<void> => {
    let data: unknown
    try {
      data = JSON.parse(await file.text())
    } catch {
      throw new Error(`${file.name} is no style: it cannot be read as JSON.`)
    }
    const style = readStyleDocument(data)
    const taken = [...shippedStyles, ...own].some(s => s.id === style.id)
    const kept = {
      ...style,
      id: taken
        ? freshStyleId(
            style.name,
            [...shippedStyles, ...own].map(s => s.id),
          )
        : style.id,
    } as StyleDocument
    await keepStyle(kept)
    say.done(`“${kept.name}” stands among your styles.`)
  }
  const choose = (style: { id: string; name: string }, document?: StyleDocument): void => {
    setInStyle(bookId, edition.id, style, document).then(onClose, say.failed)
  }
  const card = (s: { id: string; name: string }, words: string, document?: StyleDocument) => {
    const current = s.id === edition.style
    return (
      <li key={s.id} aria-current={current ? 'true' : undefined}>
        <StyleSample
          bookId={bookId}
          editionId={edition.id}
          style={document ?? s.id}
          version={version}
          width={132}
          ratio={ratio}
          label={`The first chapter in ${s.name}`}
        />
        <div>
          <h3>{s.name}</h3>
          <p>{words}</p>
          <p className="acts">
            {current ? (
              <span className="now">{edition.styleChanges ? 'set in it, with changes' : 'set in it'}</span>
            ) : (
              <Button size="small" type="primary" disabled={follows} onClick={() => choose(s, document)}>
                Set the book in it
              </Button>
            )}
            {!current && (
              <Button size="small" onClick={() => onCompare(document ?? s.id, s.name)}>
                Hold against the present
              </Button>
            )}
            <Button
              size="small"
              type="text"
              onClick={() =>
                saveAs(
                  new TextEncoder().encode(
                    JSON.stringify(document ?? shippedStyles.find(x => x.id === s.id), null, 2) + '\n',
                  ),
                  `${s.id}.json`,
                  'application/json',
                )
              }
              aria-label={`Save ${s.name} as a file`}
            >
              Save as a file
            </Button>
            {document && !current && (
              <Button
                size="small"
                type="text"
                onClick={() => void forgetStyle(s.id).catch(say.failed)}
                aria-label={`Forget ${s.name}`}
              >
                Forget
              </Button>
            )}
          </p>
        </div>
      </li>
    )
  }
  return (
    <Drawer
      title="Styles"
      open={open}
      onClose={onClose}
      size={600}
      rootClassName="styleshelf"
      getContainer={() => document.querySelector<HTMLElement>('.frame') ?? document.body}
    >
      <form
        className="keep"
        onSubmit={e => {
          e.preventDefault()
          if (name.trim()) keep().catch(say.failed)
        }}
      >
        <label htmlFor="style-name">Keep the present style, changes and all, as one of your own</label>
        <span>
          <Input
            id="style-name"
            disabled={follows}
            value={name}
            maxLength={60}
            placeholder="Its name"
            onChange={e => setName(e.target.value)}
          />
          <Button htmlType="submit" disabled={follows || !name.trim()}>
            Keep
          </Button>
        </span>
      </form>
      <h2>Your own</h2>
      {own.length ? (
        <ul>{own.map(s => card(s, String(s.words ?? ''), s))}</ul>
      ) : (
        <p className="none">None yet. A style is one file: keep one here, or bring in what somebody gave you.</p>
      )}
      <p>
        <FilePick
          label="Style file"
          accept=".json,application/json"
          onPick={([file]) => void bringIn(file!).catch(say.failed)}
        >
          {pick => (
            <Button size="small" onClick={pick}>
              Bring in a style file
            </Button>
          )}
        </FilePick>
      </p>
      <h2>Made for Porchlight</h2>
      <ul>{shippedStyles.map(s => card(s, s.words))}</ul>
    </Drawer>
  )
}
