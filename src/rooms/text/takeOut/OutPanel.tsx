'use client'
import { useState } from 'react'
import { type CopyFile, copyKinds } from '@/core/copies'
import { getBook } from '@/data/books'
import { ActValue } from '@/parts/ActValue'
import { megabytes } from '@/parts/megabytes'
import { saveAs } from '@/parts/saveAs'
import { ChoiceValue } from '@/parts/Sentence'
import { useSay } from '@/parts/useSay'
import { press } from '@/workers/client'
import { PanelFrame } from '../PanelFrame'

/** The text taken out in an open format: all of it, or the sections that are picked. */
export function OutPanel({
  bookId,
  picked,
  flush,
  onClose,
}: {
  bookId: string
  /** Sections that are picked, in order. */
  picked: readonly string[]
  /** Writes what the pen still holds. */
  flush: () => Promise<void>
  onClose: () => void
}) {
  const [kind, setKind] = useState(copyKinds[0]!.id)
  const [scope, setScope] = useState<'book' | 'picked'>('book')
  const [made, setMade] = useState<CopyFile>()
  const [working, setWorking] = useState(false)
  const say = useSay()
  const takeOut = (): void =>
    void flush()
      .then(() => getBook(bookId))
      .then(async stored => {
        if (!stored) return
        setWorking(true)
        const file = await press().copyOf(stored.book, kind, {
          pictures: stored.pictures,
          ...(scope === 'picked' && { only: picked }),
        })
        saveAs(file.bytes, file.name, file.type)
        setMade(file)
      })
      .catch(say.failed)
      .finally(() => setWorking(false))
  return (
    <PanelFrame name="Take out" close="Close it" onClose={onClose}>
      <p>
        <ChoiceValue
          label="What is taken out"
          value={scope}
          disabled={false}
          choices={[
            { value: 'book', words: 'The whole text' },
            { value: 'picked', words: picked.length > 1 ? `The ${picked.length} picked sections` : 'This section' },
          ]}
          onChange={v => setScope(v as typeof scope)}
        />{' '}
        as{' '}
        <ChoiceValue
          label="As what"
          value={kind}
          disabled={false}
          choices={copyKinds.map(k => ({ value: k.id, words: k.name }))}
          onChange={v => {
            setKind(v)
            setMade(undefined)
          }}
        />
        : {working ? 'making the file …' : <ActValue words="make the file" onAct={takeOut} />}.
      </p>
      <p className="help">{copyKinds.find(k => k.id === kind)?.keeps}</p>
      {made && (
        <div role="status">
          <p>
            <b>{made.name}</b>, {megabytes(made.bytes.length)}, is among your downloads.{' '}
            {made.lost.length ? 'No word is missing; this could not be said in it:' : 'Nothing of the text is missing.'}
          </p>
          {made.lost.length > 0 && (
            <ul>
              {made.lost.map(({ what, count }) => (
                <li key={what}>
                  {count.toLocaleString('en')} × {what}
                </li>
              ))}
            </ul>
          )}
        </div>
      )}
      <p className="help">
        Pages that are made from the book’s data (title page, contents) are not in it. The whole book, to be opened
        again here, is a project: Backup makes it.
      </p>
    </PanelFrame>
  )
}
