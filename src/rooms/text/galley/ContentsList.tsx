'use client'
import { Button, Checkbox } from 'antd'
import { memo } from 'react'
import { type Book, labels, listsBareNumbers, roles, type Section } from '@/core/book'
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
  const names = labels(book.sections, book.data.language)
  const may = book.sections.filter(s => roles[s.role].listed)
  const set = (s: Section, listed: boolean, name: string): void =>
    void acts.operate(listed ? `List “${name}”` : `Leave “${name}” out of the contents`, b => ({
      ...b,
      sections: b.sections.map(x => (x.id === s.id ? withListed(x, listed) : x)),
    }))
  return (
    <div className="entries">
      {listsBareNumbers(book.sections, book.data.language) && (
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
        {may.map(s => {
          const { numberWords, title } = names.get(s.id)!
          const name = [numberWords, title].filter(Boolean).join(': ') || roles[s.role].name
          return (
            <li key={s.id}>
              <Checkbox checked={!s.unlisted} disabled={readOnly} onChange={e => set(s, e.target.checked, name)}>
                {name}
              </Checkbox>
            </li>
          )
        })}
      </ul>
    </div>
  )
})

/** What is listed as its like are says nothing of it. */
const withListed = ({ unlisted: _, ...s }: Section, listed: boolean): Section => (listed ? s : { ...s, unlisted: true })
