'use client'
import { DeleteOutlined, HolderOutlined } from '@ant-design/icons'
import { closestCenter, DndContext, type DragEndEvent } from '@dnd-kit/core'
import { arrayMove, SortableContext, useSortable, verticalListSortingStrategy } from '@dnd-kit/sortable'
import { CSS } from '@dnd-kit/utilities'
import { Button } from 'antd'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { type HeldFiles, holdInstead, letGo, nextHeld } from '@/data/waiting'
import { allOutlets } from '@/data/outlets'
import { Cancelled, type OutletProfile } from '@/core/trade'
import { inNameOrder } from '@/parts/inNameOrder'
import { ChoiceValue } from '@/parts/Sentence'
import { Sill } from '@/parts/Sill'
import { useSalvage } from '@/parts/useSalvage'
import { useSay } from '@/parts/useSay'
import { press, type PressClient } from '@/workers/client'
import { useSortSensors } from '@/parts/useSortSensors'

const AS = [
  { value: 'one', words: 'one book' },
  { value: 'each', words: 'a book each' },
] as const

/** Files that came together: as one book, in an order that is seen and changed, or each as a book of its own. */
export function FilesTogether({ held }: { held: HeldFiles }) {
  const [files, setFiles] = useState(() => inNameOrder(once(held.files)))
  const [as, setAs] = useState<string>('one')
  const { busy, read } = useRead()
  const router = useRouter()
  const sensors = useSortSensors()
  const ids = files.map(idOf)
  const dropped = ({ active, over }: DragEndEvent): void => {
    if (over && active.id !== over.id)
      setFiles(f => arrayMove(f, ids.indexOf(String(active.id)), ids.indexOf(String(over.id))))
  }
  const leave = (): void => {
    letGo()
    if (!nextHeld()) router.push('/porch')
  }
  return (
    <>
      <main id="room" className="room intake">
        <header className="topline">
          <h1>{filesSaid(files.length)}</h1>
          <Button onClick={leave}>Leave them</Button>
          <Button type="primary" loading={busy} disabled={!files.length} onClick={() => void read(files, as)}>
            Read them
          </Button>
        </header>
        <section className="together" aria-label="Files that came together">
          <p className="note">
            They are <ChoiceValue label="What the files are" value={as} choices={AS} onChange={setAs} />
            {as === 'one' ? ', in this order. Pictures among them are those that the texts name.' : '.'}
          </p>
          <DndContext sensors={sensors} collisionDetection={closestCenter} onDragEnd={dropped}>
            <SortableContext items={ids} strategy={verticalListSortingStrategy} disabled={as !== 'one'}>
              <ol>
                {files.map((f, i) => (
                  <FileRow
                    key={idOf(f)}
                    file={f}
                    nth={as === 'one' ? i + 1 : undefined}
                    onRemove={() => setFiles(all => all.filter(x => x !== f))}
                  />
                ))}
              </ol>
            </SortableContext>
          </DndContext>
        </section>
      </main>
      <Sill
        figures={[
          { name: 'Files', value: String(files.length) },
          { name: 'Size', value: sizeSaid(files.reduce((n, f) => n + f.size, 0)) },
        ]}
        asks={as === 'one' ? 'Put them in order, then read them' : 'Read them, one after the other'}
      />
    </>
  )
}

/** Two files of one name may come from two folders. */
const idOf = (f: File): string => `${f.name}/${f.size}/${f.lastModified}`

const filesSaid = (n: number): string => (n === 1 ? 'One file' : `${n} files`)

/** Each file once, though it was chosen twice. */
const once = (files: readonly File[]): File[] => [...new Map(files.map(f => [idOf(f), f])).values()]

const sizeSaid = (bytes: number): string =>
  bytes < 1e6 ? `${Math.max(1, Math.round(bytes / 1e3))} kB` : `${(bytes / 1e6).toFixed(1)} MB`

function FileRow({ file, nth, onRemove }: { file: File; nth: number | undefined; onRemove: () => void }) {
  const { attributes, listeners, setNodeRef, transform, transition } = useSortable({ id: idOf(file) })
  return (
    <li ref={setNodeRef} style={{ transform: CSS.Transform.toString(transform), transition }}>
      {nth !== undefined && (
        <span className="handle" {...attributes} {...listeners} aria-label={`Move ${file.name}`}>
          <HolderOutlined />
        </span>
      )}
      <span className="nth">{nth}</span>
      <b>{file.name}</b>
      <em>{sizeSaid(file.size)}</em>
      <Button
        type="text"
        size="small"
        icon={<DeleteOutlined />}
        aria-label={`Leave ${file.name} out`}
        onClick={onRemove}
      />
    </li>
  )
}

/** Reads the files: what waits is then the manuscript of all, or one for each that could be read. */
function useRead(): { busy: boolean; read: (files: File[], as: string) => Promise<void> } {
  const [busy, setBusy] = useState(false)
  const say = useSay()
  const salvage = useSalvage()
  /** One file; of a damaged one what can be saved, where that is wished. */
  const readOne = async (f: File, known: OutletProfile[]): ReturnType<PressClient['readFile']> => {
    try {
      return await press().readFile(f, known)
    } catch (e) {
      await salvage(f.name, e)
      return await press().readFile(f, known, true)
    }
  }
  const read = async (files: File[], as: string): Promise<void> => {
    setBusy(true)
    const done = say.during(`Reading ${filesSaid(files.length)} …`)
    try {
      if (as === 'one') {
        holdInstead([
          { file: `${filesSaid(files.length)}, from ${files[0]!.name}`, read: await press().readFiles(files) },
        ])
        return
      }
      const known = await allOutlets()
      const books = []
      for (const f of files)
        try {
          books.push({ file: f.name, read: await readOne(f, known) })
        } catch (e) {
          if (e instanceof Cancelled) say.note(`${f.name} was not brought in.`)
          else say.failed(e, f.name)
        }
      if (books.length) holdInstead(books)
    } catch (e) {
      say.failed(e)
    } finally {
      done()
      setBusy(false)
    }
  }
  return { busy, read }
}
