'use client'
import type { Edition } from '@/core/book'
import { profileOf } from '@/core/outlets'
import { megabytes } from '@/parts/megabytes'
import { chooseEdition, type OpenBook } from '@/parts/openBook'
import { ChoiceValue, Sentence } from '@/parts/Sentence'
import { useCommit } from '@/parts/useCommit'
import { withSettings } from './settings'
import { differences } from './variants'

/** What the file is: for whom, what it carries, what it weighs. */
export function FileSentence({
  bookId,
  view,
  edition,
  carries,
  weight,
}: {
  bookId: string
  view: OpenBook
  edition: Edition
  /** It has a face in it. */
  carries: boolean
  /** Bytes. */
  weight: number
}) {
  const commit = useCommit(bookId)
  const { outletId, outlets } = view
  const profile = outletId === undefined ? undefined : profileOf(outletId, outlets)
  const asked = !!edition.ebook?.faces
  const unlike = profile
    ? differences(
        profile,
        edition.outlets.map(o => profileOf(o, outlets)),
        edition.ebook,
      )
    : []
  const values: Record<string, React.ReactNode> = {
    outlet: (
      <ChoiceValue
        key="outlet"
        label="Outlet"
        value={outletId ?? ''}
        choices={edition.outlets.map(o => ({ value: o, words: profileOf(o, outlets).name }))}
        onChange={o => chooseEdition(bookId, edition.id, o)}
      />
    ),
    faces: (
      <ChoiceValue
        key="faces"
        label="Faces in the file"
        value={asked ? 'carried' : 'none'}
        choices={[
          { value: 'none', words: 'no face' },
          { value: 'carried', words: 'its style’s faces' },
        ]}
        onChange={v =>
          void commit(
            v === 'carried' ? 'Carry the faces' : 'Carry no faces',
            withSettings(edition.id, settings => ({ ...settings, faces: v === 'carried' })),
          )
        }
      />
    ),
  }
  const refused =
    asked && !carries
      ? profile?.ebook?.faces === false
        ? ` ${profile.name} shows none: its readers have their own.`
        : ' Its maker does not allow it in ebooks: readers see their own.'
      : ''
  return (
    <div className="file">
      <h2>The file</h2>
      <p>
        <Sentence
          words={`As it goes to {outlet}: it carries {faces} and weighs ${megabytes(weight)}.`}
          value={name => values[name]}
        />
        {refused}
        {unlike.length > 0 && ` ${unlike.join('; ')}.`}
      </p>
    </div>
  )
}
