'use client'
import { Button } from 'antd'
import { useRef, useState } from 'react'
import { type Cleaning, cleaningOf, uncleaned } from '@/core/activity'
import type { Asset, Run } from '@/core/book'
import { cleanDrawing } from '@/data/cleaning'
import { bringInPages } from '@/data/foreignPages'
import { bringInPicture, pictureTypes } from '@/data/pictures'
import { FilePick, type FilePicker } from '@/parts/FilePick'
import { inNameOrder } from '@/parts/inNameOrder'
import { useSay } from '@/parts/useSay'
import type { ChangeRun } from './planChanges'

/** A picture, or all pages of a PDF; ids of what it became. */
const broughtIn = async (bookId: string, file: File): Promise<string[]> =>
  file.type === 'application/pdf' || /\.pdf$/i.test(file.name)
    ? (await bringInPages(bookId, file)).map(a => a.id)
    : [(await bringInPicture(bookId, file)).id]

/** The pictures of a run, a page each: brought in many at once, in the order of their names. */
export function Pictures({
  bookId,
  assets,
  run,
  onChange,
}: {
  bookId: string
  assets: Asset[]
  run: Run
  onChange: ChangeRun
}) {
  const say = useSay()
  const pick = useRef<FilePicker>(null)
  const [coming, setComing] = useState<{ done: number; of: number }>()
  const [cleaning, setCleaning] = useState<{ done: number; of: number }>()
  const stopped = useRef(false)
  const all = run.params.pictures as string[]
  const bring = async (files: File[]): Promise<void> => {
    const byName = inNameOrder(files)
    const found: string[] = []
    for (const [done, file] of byName.entries()) {
      setComing({ done, of: files.length })
      // One that is none stops no other: each says for itself what is wrong with it.
      await broughtIn(bookId, file).then(ids => found.push(...ids), say.failed)
    }
    setComing(undefined)
    if (found.length)
      await onChange('Pictures of a run', r => ({
        params: { ...r.params, pictures: [...(r.params.pictures as string[]), ...found] },
      }))
  }
  const how = cleaningOf(run.params as Partial<Cleaning>)
  const unclean = uncleaned(run, how, assets)
  const clean = async (): Promise<void> => {
    stopped.current = false
    for (const [done, id] of unclean.entries()) {
      if (stopped.current) break
      setCleaning({ done, of: unclean.length })
      await cleanDrawing(bookId, id, how).catch(say.failed)
    }
    setCleaning(undefined)
  }
  if (cleaning)
    return (
      <p className="ways" role="status">
        Cleaning drawing {cleaning.done + 1} of {cleaning.of} …{' '}
        <Button size="small" onClick={() => (stopped.current = true)}>
          Stop
        </Button>
      </p>
    )
  return (
    <p className="ways" role="status">
      {coming ? (
        `Looking at picture ${coming.done + 1} of ${coming.of} …`
      ) : (
        <>
          <Button size="small" onClick={() => pick.current?.open()}>
            Bring in pictures or a PDF
          </Button>
          {unclean.length > 0 && (
            <Button size="small" onClick={() => void clean()}>
              {unclean.length === 1 ? 'Clean one drawing' : `Clean ${unclean.length} drawings`}
            </Button>
          )}
          {all.length > 0 && (
            <Button
              size="small"
              type="link"
              onClick={() => void onChange('Pictures of a run', r => ({ params: { ...r.params, pictures: [] } }))}
            >
              Take them all out
            </Button>
          )}
        </>
      )}
      <FilePick
        ref={pick}
        label="Pictures of a run"
        accept={`${pictureTypes},application/pdf`}
        multiple
        onPick={files => void bring(files)}
      />
    </p>
  )
}
