'use client'
import { Button, Drawer, Input } from 'antd'
import { useLiveQuery } from 'dexie-react-hooks'
import { useState } from 'react'
import type { Edition, StyleDocument } from '@/core/book'
import { type InteriorStyle, readStyleDocument, shippedStyles } from '@/core/pages'
import { freshStyleId, keepStyle, keptStyles, setInStyle } from '@/data/styles'
import { FilePick } from '@/parts/FilePick'
import { useSay } from '@/parts/useSay'
import { useFollows } from '@/parts/WriterOnly'
import { type ShownStyle, StyleCard } from './StyleCard'

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
  /** The style as it stands, with its changes. */
  present: InteriorStyle
  version: number
  ratio: number
  open: boolean
  onClose: () => void
  onCompare: (style: string | StyleDocument, name: string) => void
}) {
  const own = useLiveQuery(keptStyles) ?? []
  const say = useSay()
  const follows = useFollows(bookId)
  const freeId = (name: string): string =>
    freshStyleId(
      name,
      [...shippedStyles, ...own].map(s => s.id),
    )

  const keep = async (name: string): Promise<void> => {
    const style = { ...present, id: freeId(name), name } as StyleDocument
    await keepStyle(style)
    await setInStyle(bookId, edition.id, style, style)
    say.done(`“${name}” is kept, and this edition is set in it.`)
  }
  const bringIn = async (file: File): Promise<void> => {
    const style = await readStyleFile(file)
    const taken = [...shippedStyles, ...own].some(s => s.id === style.id)
    const kept = { ...style, id: taken ? freeId(style.name) : style.id } as StyleDocument
    await keepStyle(kept)
    say.done(`“${kept.name}” stands among your styles.`)
  }
  const card = (style: ShownStyle) => (
    <StyleCard
      key={style.id}
      style={style}
      of={{ bookId, edition, version, ratio, follows }}
      onChoose={() => void setInStyle(bookId, edition.id, style, style.document).then(onClose, say.failed)}
      onCompare={() => onCompare(style.document ?? style.id, style.name)}
    />
  )
  return (
    <Drawer
      title="Styles"
      open={open}
      onClose={onClose}
      size={600}
      rootClassName="styleshelf"
      getContainer={() => document.querySelector<HTMLElement>('.frame') ?? document.body}
    >
      <Keep follows={follows} onKeep={name => keep(name).then(() => true, say.failed)} />
      <h2>Your own</h2>
      {own.length ? (
        <ul>{own.map(s => card({ id: s.id, name: s.name, words: String(s.words ?? ''), document: s }))}</ul>
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
      <ul>{shippedStyles.map(({ id, name, words }) => card({ id, name, words }))}</ul>
    </Drawer>
  )
}

async function readStyleFile(file: File): Promise<ReturnType<typeof readStyleDocument>> {
  let data: unknown
  try {
    data = JSON.parse(await file.text())
  } catch {
    throw new Error(`${file.name} is no style: it cannot be read as JSON.`)
  }
  return readStyleDocument(data)
}

/** Keeps the present style under a name. `onKeep` resolves to true where it is kept. */
function Keep({ follows, onKeep }: { follows: boolean; onKeep: (name: string) => Promise<true | void> }) {
  const [name, setName] = useState('')
  return (
    <form
      className="keep"
      onSubmit={e => {
        e.preventDefault()
        if (name.trim()) void onKeep(name.trim()).then(kept => kept && setName(''))
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
  )
}
