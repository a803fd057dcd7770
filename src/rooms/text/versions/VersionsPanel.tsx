'use client'
import { Button, Input } from 'antd'
import dayjs from 'dayjs'
import { useState } from 'react'
import { thinningSaid } from '@/core/archive'
import type { Book } from '@/core/book'
import type { VersionRecord } from '@/data/records'
import { forgetVersion, keepVersion, nameVersion, unkeptOf } from '@/data/versions'
import { ActValue } from '@/parts/ActValue'
import { megabytes } from '@/parts/megabytes'
import { TextValue } from '@/parts/TextValue'
import type { TextField } from '@/parts/useTaken'
import { useSay } from '@/parts/useSay'
import { PanelFrame } from '../PanelFrame'
import type { Versions } from './useVersions'

/** The line of time on which the book's kept versions stand. */
export function VersionsPanel({
  book,
  versions,
  words,
  readOnly,
  flush,
  onClose,
}: {
  book: Book
  versions: Versions
  /** Words of the book as it is now. */
  words: number
  readOnly: boolean
  /** Writes what the pen still holds. */
  flush: () => Promise<void>
  onClose: () => void
}) {
  const { kept, space, chosen } = versions
  return (
    <PanelFrame name="Kept versions" kind="versions" close="Close the versions" onClose={onClose}>
      {!readOnly && <KeepNow book={book} flush={flush} />}
      {unkeptOf(book.id).map(u => (
        <p key={u.at} className="trouble" role="alert">
          At {dayjs(u.at).format('H:mm')} no version could be kept (“{u.label}”): {u.why}
        </p>
      ))}
      <ol className="timeline">
        <li className="now" data-current={!chosen}>
          <button type="button" onClick={() => versions.choose(undefined)}>
            <b>As it is now</b>
            <em>{words.toLocaleString('en')} words</em>
          </button>
        </li>
        {kept?.map((v, i) => (
          <Kept
            key={v.id}
            version={v}
            older={kept[i + 1]}
            versions={versions}
            rests={restsOn(book, v)}
            readOnly={readOnly}
          />
        ))}
      </ol>
      {kept?.length === 0 && (
        <p>
          None is kept yet. One is kept by itself when a sitting ends, before a large change, and whenever a package
          goes out.
        </p>
      )}
      {!!kept?.length && (
        <p className="help">
          {space !== undefined && <>They take {megabytes(space)}. </>}
          {thinningSaid}
        </p>
      )}
    </PanelFrame>
  )
}

const MOST = 200
const nameField: TextField<string> = {
  label: 'Name of this version',
  problem: t =>
    !t.trim() ? 'A version wants a name.' : t.length > MOST ? `At most ${MOST} letters, please.` : undefined,
  read: t => t.trim(),
  show: v => v ?? '',
}

/** Keeps the book as it is, under a name. */
function KeepNow({ book, flush }: { book: Book; flush: () => Promise<void> }) {
  const [name, setName] = useState('')
  const say = useSay()
  const keep = (): void =>
    void flush()
      .then(() => keepVersion(book.id, name.trim() || 'Kept by hand'))
      .then(() => setName(''), say.failed)
  return (
    <p className="keepnow">
      <Input
        size="small"
        aria-label="Name of the version"
        placeholder="Keep it now, as …"
        maxLength={MOST}
        value={name}
        onChange={e => setName(e.target.value)}
        onPressEnter={keep}
      />
      <Button size="small" onClick={keep}>
        Keep it
      </Button>
    </p>
  )
}

/** Whether a round that is not put away went out as this version, or came back as it. */
const restsOn = ({ rounds }: Book, { manifest }: VersionRecord): boolean =>
  !!rounds?.some(
    r =>
      (r.sent === manifest && (!r.returns.length || r.returns.some(b => !b.done))) ||
      r.returns.some(b => b.state === manifest && !b.done),
  )

function Kept({
  version,
  older,
  versions,
  rests,
  readOnly,
}: {
  version: VersionRecord
  older: VersionRecord | undefined
  versions: Versions
  /** What others are at rests on it. */
  rests: boolean
  readOnly: boolean
}) {
  const say = useSay()
  const { at, label, words, pages, kind } = version
  const current = versions.chosen?.id === version.id
  const grown = older && words - older.words
  return (
    <li data-current={current} className={kind ?? 'named'}>
      <button type="button" aria-pressed={current} onClick={() => versions.choose(version.id)}>
        <time dateTime={new Date(at).toISOString()}>{dayjs(at).format('D MMM, H:mm')}</time>
        <b>{label}</b>
        <em>
          {words.toLocaleString('en')} words
          {grown ? ` (${grown > 0 ? '+' : '−'}${Math.abs(grown).toLocaleString('en')})` : ''}
          {pages === undefined ? '' : `, ${pages.toLocaleString('en')} pages`}
        </em>
      </button>
      {current && !readOnly && (
        <p className="acts">
          {kind === 'sent' || !kind ? 'It stays' : 'It stays until age thins it out'}; its name is{' '}
          <TextValue
            field={nameField}
            value={label}
            empty="nothing"
            onTake={name => nameVersion(version.id!, name!).then(() => undefined)}
          />
          {rests ? (
            '; what is given out to others is held against it'
          ) : (
            <>
              ;{' '}
              <ActValue
                words="forget it"
                onAct={() => {
                  versions.choose(undefined)
                  void forgetVersion(version.id!).catch(say.failed)
                }}
              />
            </>
          )}
          .
        </p>
      )}
    </li>
  )
}
