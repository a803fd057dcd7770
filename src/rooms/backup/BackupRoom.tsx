'use client'
import { Button } from 'antd'
import { useLiveQuery } from 'dexie-react-hooks'
import { useRef, useState, useSyncExternalStore } from 'react'
import type { Library } from '@/core/archive'
import { Cancelled, type Progress } from '@/core/trade'
import { type Choice, collectLibrary, type Compared, compareLibrary, restoreLibrary } from '@/data/backup'
import { getBook } from '@/data/books'
import { listBooks } from '@/data/bookList'
import { ownOutletsOf } from '@/data/outletChanges'
import { allOutlets } from '@/data/outlets'
import { askWriter } from '@/data/writer'
import { saveAs } from '@/parts/saveAs'
import { Sill } from '@/parts/Sill'
import { onPressAtWork, press, pressAtWork, stopPress } from '@/workers/client'
import { Comparison, firstChoice } from './Comparison'
import './backup.css'
import { useSay } from '@/parts/useSay'
import { FilePick } from '@/parts/FilePick'

/** Backup: the whole library out and in, and single books for somebody who helps. */
export function BackupRoom() {
  const books = useLiveQuery(listBooks)
  const [busy, setBusy] = useState<string>()
  const [found, setFound] = useState<{
    name: string
    library: Library
    says: { books: Compared[]; others: string[] }
  }>()
  const [choices, setChoices] = useState<Record<string, Choice>>({})
  const say = useSay()
  const [back, setBack] = useState<Progress>()
  const atPress = useSyncExternalStore(onPressAtWork, pressAtWork, () => undefined)
  const unwanted = useRef(false)

  const doing = async (what: string, work: () => Promise<void>): Promise<void> => {
    unwanted.current = false
    setBusy(what)
    try {
      await work()
    } catch (e) {
      if (e instanceof Cancelled) say.note('Stopped: nothing was changed.')
      else say.failed(e)
    } finally {
      setBusy(undefined)
      setBack(undefined)
    }
  }
  const out = (): Promise<void> =>
    doing('Writing the backup', async () => {
      const bytes = await press().writeLibrary(await collectLibrary())
      saveAs(bytes, `porchlight-library-${new Date().toISOString().slice(0, 10)}.zip`, 'application/zip')
    })
  const one = (id: string): Promise<void> =>
    doing('Writing the book', async () => {
      const stored = await getBook(id)
      if (stored)
        saveAs(
          await press().writeProject({
            ...stored,
            outlets: ownOutletsOf(stored.book, await allOutlets()),
          }),
          `${id}.porchlight`,
          'application/zip',
        )
    })
  const read = (file: File): Promise<void> =>
    doing('Reading the backup', async () => {
      const library = await press().readLibrary(file, await allOutlets())
      const says = await compareLibrary(library)
      setChoices(Object.fromEntries(says.books.map(b => [b.id, firstChoice(b)])))
      setFound({ name: file.name, library, says })
    })
  const restore = (): Promise<void> =>
    doing('Putting it back', async () => {
      if (!found) return
      const chosen = { ...choices }
      // A book that another window writes is replaced only where its author says so there.
      const kept: string[] = []
      for (const b of found.says.books)
        if (b.here && chosen[b.id] === 'instead') {
          setBusy(`Asking the window that writes “${b.here.title}”`)
          if (await askWriter(b.id, 'put a backup in the place of this book')) continue
          chosen[b.id] = 'leave'
          kept.push(b.here.title)
        }
      setBusy('Putting it back')
      const otherwise = await restoreLibrary(found.library, new Map(Object.entries(chosen)), p => {
        if (unwanted.current) throw new Cancelled()
        setBack(p)
      })
      const count = found.says.books.filter(b => chosen[b.id] !== 'leave').length
      say.done(
        count
          ? `${count} ${count === 1 ? 'book was' : 'books were'} put back.`
          : 'Its books stand here already: none was changed.',
      )
      if (kept.length)
        say.warn(
          `${kept.map(t => `“${t}”`).join(', ')}: another window writes it and did not agree. It stays as it is.`,
        )
      if (otherwise.length)
        say.warn(`${otherwise.join(', ')}: here with other figures than in the backup. Those of this library stay.`)
      setFound(undefined)
    })
  // Reading and writing stop with the press; putting back stops between two books and leaves everything as it was.
  const stop = (): void => {
    unwanted.current = true
    stopPress()
  }
  const at = back ?? atPress?.progress
  return (
    <>
      <main id="room" className="room backup">
        <header className="topline">
          <h1>Backup</h1>
        </header>
        <div className="sheet">
          <section>
            <h2>Out</h2>
            <p className="teach">
              Everything in one file: books with their pictures, listings with the packages as they were sent, the
              outlets, the clock, what you kept in research. The same library gives the same file, byte for byte.
            </p>
            <p>
              <Button type="primary" disabled={!!busy} onClick={() => void out()}>
                Back up the whole library
              </Button>
            </p>
            <h3>One book</h3>
            <p className="teach">A project file, for another Porchlight or for safe keeping.</p>
            <ul>
              {(books ?? []).map(b => (
                <li key={b.id}>
                  <span>{b.data.title}</span>
                  <Button
                    size="small"
                    disabled={!!busy}
                    onClick={() => void one(b.id)}
                    aria-label={`Save ${b.data.title}`}
                  >
                    Save
                  </Button>
                </li>
              ))}
            </ul>
          </section>
          <section
            onDragOver={e => e.preventDefault()}
            onDrop={e => {
              e.preventDefault()
              const f = e.dataTransfer.files[0]
              if (f) void read(f)
            }}
          >
            <h2>In</h2>
            <p className="teach">Choose a backup or drop it here. You see what it would do before it does it.</p>
            <p>
              <FilePick label="Backup file" accept=".zip" onPick={([file]) => void read(file!)}>
                {pick => (
                  <Button disabled={!!busy} onClick={pick}>
                    Choose a backup
                  </Button>
                )}
              </FilePick>
            </p>
            {busy && (
              <p role="status">
                <progress max={at?.of} value={at?.done} aria-label={busy} /> {busy} …{' '}
                <Button size="small" type="text" onClick={stop}>
                  Stop
                </Button>
              </p>
            )}
            {found && (
              <div className="found" role="group" aria-label="What the backup holds">
                <h3>{found.name}</h3>
                <ul className="sides">
                  {found.says.books.map(b => (
                    <Comparison
                      key={b.id}
                      book={b}
                      choice={choices[b.id] ?? firstChoice(b)}
                      onChoose={c => setChoices(o => ({ ...o, [b.id]: c }))}
                    />
                  ))}
                </ul>
                {found.library.unreadable?.map(u => (
                  <p key={u.id} className="unreadable" role="alert">
                    <b>{u.id}</b> is in the backup and cannot be read; it is left out. {u.why}
                  </p>
                ))}
                {found.says.others.length > 0 && (
                  <p className="teach">Not in the backup, and left as they are: {found.says.others.join(', ')}.</p>
                )}
                <p>
                  <Button type="primary" onClick={() => void restore()}>
                    Put it back
                  </Button>{' '}
                  <Button type="text" onClick={() => setFound(undefined)}>
                    Leave it
                  </Button>
                </p>
              </div>
            )}
          </section>
        </div>
      </main>
      <Sill
        figures={books ? [{ name: 'Books', value: String(books.length) }] : []}
        asks={busy ? `${busy} …` : undefined}
      />
    </>
  )
}
