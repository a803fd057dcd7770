'use client'
import { Button } from 'antd'
import { useLiveQuery } from 'dexie-react-hooks'
import { useRef, useState, useSyncExternalStore } from 'react'
import { Cancelled, type Progress } from '@/core/trade'
import { type Choice, collectLibrary, compareLibrary, restoreLibrary } from '@/data/backup'
import { getBook } from '@/data/books'
import { listBooks } from '@/data/bookList'
import { ownOutletsOf } from '@/data/outletChanges'
import { allOutlets } from '@/data/outlets'
import { askWriter } from '@/data/writer'
import { saveAs } from '@/parts/saveAs'
import { Sill } from '@/parts/Sill'
import { press, stopPress } from '@/workers/client'
import { onPressAtWork, pressAtWork } from '@/workers/waitingFor'
import { firstChoice } from './Comparison'
import { Found, type FoundBackup } from './Found'
import { Out } from './Out'
import './backup.css'
import { useSay } from '@/parts/useSay'
import { FilePick } from '@/parts/FilePick'

/** Backup: the whole library out and in, and single books for somebody who helps. */
export function BackupRoom() {
  const books = useLiveQuery(listBooks)
  const [busy, setBusy] = useState<string>()
  const [found, setFound] = useState<FoundBackup>()
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
          <Out books={books ?? []} busy={!!busy} onAll={() => void out()} onOne={id => void one(id)} />
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
              <Found
                found={found}
                choices={choices}
                onChoose={(id, choice) => setChoices(o => ({ ...o, [id]: choice }))}
                onRestore={() => void restore()}
                onLeave={() => setFound(undefined)}
              />
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
