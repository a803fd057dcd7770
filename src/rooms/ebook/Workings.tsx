'use client'
import { Button } from 'antd'
import dynamic from 'next/dynamic'
import { useState } from 'react'
import type { Edition } from '@/core/book'
import { useAnswer } from '@/parts/useAnswer'
import { useCommit } from '@/parts/useCommit'
import { withSettings } from './settings'

// Who never looks at code never loads what shows it.
const Code = dynamic(() => import('./Code'), { ssr: false })

/** For those who know: the code of the page that is read, and a style sheet of one's own behind that of the style. */
export function Workings({
  bookId,
  edition,
  files,
  path,
  shows,
  readOnly,
  onShow,
}: {
  bookId: string
  edition: Edition
  files: ReadonlyMap<string, Blob>
  path: string
  shows: 'code' | 'sheet'
  readOnly: boolean
  onShow: (what: 'code' | 'sheet' | undefined) => void
}) {
  const sheet = [...files.keys()].find(p => p.endsWith('.css'))
  const shown = shows === 'code' ? path : sheet
  const { answer: text } = useAnswer(
    async () => (shown ? { of: shown, text: await files.get(shown)?.text() } : undefined),
    [files, shown],
  )
  return (
    <div className="workings">
      <h2>{shows === 'code' ? 'The code of this page' : 'The style sheet'}</h2>
      <p>
        <button type="button" className="way" onClick={() => onShow(undefined)}>
          Back to print
        </button>{' '}
        ·{' '}
        <button type="button" className="way" onClick={() => onShow(shows === 'code' ? 'sheet' : 'code')}>
          {shows === 'code' ? 'the style sheet' : 'this page’s code'}
        </button>
      </p>
      {shows === 'sheet' && <OwnSheet bookId={bookId} edition={edition} readOnly={readOnly} />}
      {text?.of === shown && text?.text !== undefined && (
        <>
          {shows === 'sheet' && <p>As it stands in the file, after the style:</p>}
          <Code
            label={shows === 'code' ? 'Code of this page' : 'Style sheet of the file'}
            language={shows === 'code' ? 'xml' : 'css'}
            text={text.text}
          />
        </>
      )}
    </div>
  )
}

/** The author's own rules. What would break the file is said with its line, and not taken. */
function OwnSheet({ bookId, edition, readOnly }: { bookId: string; edition: Edition; readOnly: boolean }) {
  const commit = useCommit(bookId)
  const kept = edition.ebook?.css ?? ''
  const [draft, setDraft] = useState<string>()
  const written = draft ?? kept
  const { answer: faults } = useAnswer(async () => {
    const { sheetFaults } = await import('@/core/epub')
    return { of: written, faults: sheetFaults(written) }
  }, [written])
  const sound = faults?.of === written && !faults.faults.length
  const take = (): void =>
    void commit(
      'Own style sheet',
      withSettings(edition.id, ({ css: _old, ...rest }) => ({ ...rest, ...(written.trim() ? { css: written } : {}) })),
    ).then(done => done && setDraft(undefined))
  return (
    <>
      <p>Your own rules, behind those of the style:</p>
      <Code key={kept} label="Your own rules" language="css" text={kept} {...(readOnly ? {} : { onWrite: setDraft })} />
      {faults && faults.faults.length > 0 && (
        <ul className="faults" role="alert">
          {faults.faults.slice(0, 6).map((f, i) => (
            <li key={i}>
              Line {f.line}: {f.says}
            </li>
          ))}
        </ul>
      )}
      <p>
        <Button size="small" disabled={readOnly || !sound || written === kept} onClick={take}>
          Take them
        </Button>
      </p>
    </>
  )
}
