'use client'
import { type Edition, type Recording, sortOf } from '@/core/book'
import { profileOf } from '@/core/outlets'
import { megabytes } from '@/parts/megabytes'
import { chooseEdition, type OpenBook } from '@/parts/openBook'
import { ChoiceValue, Sentence } from '@/parts/Sentence'
import { useCommit } from '@/parts/useCommit'
import type { ReadingCopy } from '@/workers/answers/reading'
import { withSettings } from './settings'
import { differences } from './variants'

/** "Both other books that it names lead to". */
function ledWords({ named, led }: ReadingCopy['shops']): string {
  if (named === 1)
    return led ? 'The other book that it names leads to' : 'The other book that it names does not lead to'
  const all = `the ${named} other books that it names`
  return led === named
    ? `All ${all.slice(4)} lead to`
    : led
      ? `Of ${all}, ${led} ${led === 1 ? 'leads' : 'lead'} to`
      : `None of ${all} lead to`
}

/** "a sound and 2 films". */
function sortsIn(recordings: readonly Recording[]): string {
  const count = (sort: 'sound' | 'film'): string[] => {
    const n = recordings.filter(r => sortOf(r) === sort).length
    return n ? [n === 1 ? `a ${sort}` : `${n} ${sort}s`] : []
  }
  return [...count('sound'), ...count('film')].join(' and ')
}

/** What the file is: for whom, what it carries, what it weighs. */
export function FileSentence({
  bookId,
  view,
  edition,
  carries,
  copy: { weight, printedPages, linksLeftOut, linksOut, plays, recordingsLeftOut, files, shops },
}: {
  bookId: string
  view: OpenBook
  edition: Edition
  /** It has a face in it. */
  carries: boolean
  copy: ReadingCopy
}) {
  const commit = useCommit(bookId)
  const { outletId, outlets } = view
  const profile = outletId === undefined ? undefined : profileOf(outletId, outlets)
  const planned = !!view.book?.plan
  const fixed = planned || !!edition.ebook?.fixed
  const asked = !!edition.ebook?.faces && !fixed
  const recorded = [...files.values()].reduce((n, f) => n + (/^(audio|video)\//.test(f.type) ? f.size : 0), 0)
  const all = [...plays, ...recordingsLeftOut]
  const unlike = profile
    ? differences(
        profile,
        edition.outlets.map(o => profileOf(o, outlets)),
        edition.ebook,
        {
          links: linksOut > 0,
          sound: all.some(r => sortOf(r) === 'sound'),
          film: all.some(r => sortOf(r) === 'film'),
        },
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
    pages: planned ? (
      'are fixed as they print'
    ) : (
      <ChoiceValue
        key="pages"
        label="Pages of the ebook"
        value={fixed ? 'fixed' : 'flowing'}
        choices={[
          { value: 'flowing', words: fixed ? 'flow' : 'flows' },
          { value: 'fixed', words: fixed ? 'are fixed as they print' : 'is fixed in its printed pages' },
        ]}
        onChange={v =>
          void commit(
            v === 'fixed' ? 'Fix the pages' : 'Let the text flow',
            withSettings(edition.id, ({ fixed: _old, ...rest }) => ({
              ...rest,
              ...(v === 'fixed' ? { fixed: true } : {}),
            })),
          )
        }
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
          words={
            fixed
              ? `As it goes to {outlet}: its pages {pages}, and it weighs ${megabytes(weight)}.`
              : `As it goes to {outlet}: its text {pages}, it carries {faces}, and it weighs ${megabytes(weight)}.`
          }
          value={name => values[name]}
        />
        {printedPages !== undefined && ` Shops that ask how long it is are told ${printedPages} pages, as it prints.`}
        {profile &&
          linksLeftOut > 0 &&
          ` ${linksLeftOut === 1 ? 'A link leads' : `${linksLeftOut} links lead`} where ${profile.name} lets none, and ${linksLeftOut === 1 ? 'is' : 'are'} plain words.`}
        {profile && shops.named > 0 && ` ${ledWords(shops)} their pages at ${profile.name}.`}
        {plays.length > 0 && ` It plays ${sortsIn(plays)}, ${megabytes(recorded)} of that.`}
        {recordingsLeftOut.length > 0 &&
          ` It goes without ${sortsIn(recordingsLeftOut)}: ${recordingsLeftOut.length === 1 ? 'its picture, caption and words stand' : 'their pictures, captions and words stand'} there.`}
        {refused}
        {unlike.length > 0 && ` ${unlike.join('; ')}.`}
      </p>
    </div>
  )
}
