'use client'
import { Button, Checkbox, Select } from 'antd'
import { memo } from 'react'
import { type Book, joinSections, roles, type Section, setRole } from '@/core/book'
import { roleOptions } from '@/parts/SectionKind'
import { OpeningPicture } from './OpeningPicture'
import { TypedQuotes } from './TypedQuotes'
import type { SectionActs } from './useSectionActs'

interface SectionSettingsProps {
  book: Book
  section: Section
  name: string
  readOnly: boolean
  acts: SectionActs
  onGo: (place: { section: string; block: string }) => void
}

/** What a section is, and what can be done with the whole of it. */
export const SectionSettings = memo(function SectionSettings({
  book,
  section,
  name,
  readOnly,
  acts,
  onGo,
}: SectionSettingsProps) {
  const { operate, change } = acts
  return (
    <>
      <label className="role" htmlFor="section-role">
        It is
      </label>
      <Select
        id="section-role"
        size="small"
        value={section.role}
        disabled={readOnly}
        options={roleOptions}
        onChange={r => void operate(`“${name}” is ${roles[r].name.toLowerCase()}`, b => setRole(b, section.id, r))}
        style={{ width: '100%' }}
        popupMatchSelectWidth={190}
      />
      {roles[section.role].numbered && (
        <Checkbox
          checked={section.numbered}
          disabled={readOnly}
          onChange={e =>
            void change(e.target.checked ? `Number “${name}”` : `“${name}” without number`, {
              numbered: e.target.checked,
            })
          }
        >
          numbered
        </Checkbox>
      )}
      {!section.made && roles[section.role].headed && (
        <OpeningPicture
          key={section.id}
          bookId={book.id}
          assets={book.assets}
          picture={section.picture}
          readOnly={readOnly}
          onChange={(picture, label) => void change(label, { picture })}
        />
      )}
      <div className="acts">
        <Button size="small" disabled={readOnly || section.made} onClick={acts.split}>
          Split before the cursor’s paragraph
        </Button>
        <Button
          size="small"
          disabled={readOnly || !joinable(book, section)}
          onClick={() => void operate(`Join “${name}” to the one before`, b => joinSections(b, section.id))}
        >
          Join to the section before
        </Button>
        {!section.made && (
          <Button size="small" disabled={readOnly} onClick={() => acts.readAgain(false)}>
            Read it again for sections
          </Button>
        )}
        <Button size="small" disabled={readOnly} onClick={() => acts.readAgain(true)}>
          Read the whole text again
        </Button>
        <Button size="small" type="text" disabled={readOnly} onClick={acts.remove}>
          Remove it
        </Button>
      </div>
      <TypedQuotes
        book={book}
        readOnly={readOnly}
        onTurn={operation => void operate('Turn typed quotes', operation)}
        onGo={onGo}
      />
      {!!section.evidence?.length && (
        <>
          <h2>Why it is a section</h2>
          <ul className="evidence">
            {section.evidence.map(e => (
              <li key={e}>{e}</li>
            ))}
          </ul>
        </>
      )}
    </>
  )
})

function joinable(book: Book, section: Section): boolean {
  const i = book.sections.findIndex(s => s.id === section.id)
  const before = book.sections[i - 1]
  return !!before && before.part === section.part && !before.made && !section.made
}
