'use client'
import { Button, Checkbox } from 'antd'
import { type CSSProperties, memo } from 'react'
import { type Book, type ContentsEntry, listable, listsBareNumbers, type Section, withEntry } from '@/core/book'
import type { SectionActs } from '../useSectionActs'

/** What a made contents page lists: each entry is left out, or put in again, by its name. Bare numbers tell a reader nothing, and that is said. */
export const ContentsList = memo(function ContentsList({
  book,
  section,
  readOnly,
  acts,
}: {
  book: Book
  /** The contents themselves. */
  section: Section
  readOnly: boolean
  acts: SectionActs
}) {
  const { language } = book.data
  const entries = listable(book.sections, language)
  const set = (e: ContentsEntry, listed: boolean): void =>
    void acts.operate(listed ? `List “${nameOf(e)}”` : `Leave “${nameOf(e)}” out of the contents`, b => ({
      ...b,
      sections: withEntry(b.sections, e, listed),
    }))
  return (
    <div className="entries">
      {listsBareNumbers(book.sections, language) && (
        <p className="issaid" role="note">
          It lists numbers and hardly a title: that tells a reader nothing.{' '}
          {!section.unprinted && (
            <Button
              size="small"
              type="link"
              disabled={readOnly}
              onClick={() => void acts.change('Contents in the ebook alone', { unprinted: true })}
            >
              Keep it out of print
            </Button>
          )}
        </p>
      )}
      <ul aria-label="Entries of the contents">
        {entries.map(e => (
          <li key={e.block ?? e.section} style={{ '--level': e.level } as CSSProperties}>
            <Checkbox checked={!e.left} disabled={readOnly} onChange={v => set(e, v.target.checked)}>
              {nameOf(e)}
            </Checkbox>
          </li>
        ))}
      </ul>
    </div>
  )
})

const nameOf = (e: ContentsEntry): string => [e.numberWords, e.title].filter(Boolean).join(': ')
