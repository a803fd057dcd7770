'use client'
import type { Editor } from '@tiptap/core'
import { EditorContent } from '@tiptap/react'
import type { ReactNode } from 'react'
import type { Book, Section } from '@/core/book'
import type { Saving } from '@/data/pen'
import { useLatest } from '@/parts/useLatest'
import { AtCursor } from '../atCursor/AtCursor'
import { type Insert, Toolbar } from '../Toolbar'
import type { SectionActs } from '../useSectionActs'
import { ContentsList } from './ContentsList'
import { Heading } from './Heading'
import { MadePage } from './MadePage'
import type { Known } from './known'
import { Margins } from './Margins'

/** The galley that a section is written on: what it is, its title, its text between the margins. */
export function Galley({
  book,
  section,
  numberWords,
  editor,
  turn,
  saving,
  readOnly,
  acts,
  known,
  sentence,
  beside,
  onInsert,
  onPage,
}: {
  /** The book as what stands beside the text has it. */
  book: Book
  section: Section
  numberWords: string | undefined
  editor: Editor | undefined
  /** Counts what has changed in the editor. */
  turn: number
  saving: Saving
  readOnly: boolean
  acts: SectionActs
  /** What the margins know. */
  known: Known
  sentence: ReactNode
  /** What has to be said over the text. */
  beside: ReactNode
  onInsert: (what: Insert) => void
  onPage: (place: { block: string; chars: number }) => void
}) {
  const latestBook = useLatest(() => book)
  return (
    <>
      <div className="tools">
        {editor && !section.made ? (
          <Toolbar
            editor={editor}
            language={book.data.language}
            book={latestBook}
            turn={turn}
            disabled={readOnly}
            onInsert={onInsert}
          />
        ) : (
          <span className="toolbar" />
        )}
        <span className={`saving ${saving === 'not saved' ? 'stop' : ''}`} role="status">
          {readOnly ? 'following' : saving === 'saving' ? 'saving …' : saving}
        </span>
      </div>
      <div className="paper">
        <div className="galley">
          {beside}
          {sentence}
          <Heading
            key={section.id}
            section={section}
            numberWords={numberWords}
            readOnly={readOnly}
            onChange={acts.change}
          />
          <div className="sheet">
            {!section.made ? (
              <EditorContent editor={editor ?? null} />
            ) : section.role === 'contents' ? (
              <ContentsList book={book} section={section} readOnly={readOnly} acts={acts} />
            ) : (
              <MadePage onTake={acts.takeOver} />
            )}
            {editor && !section.made && <Margins key={section.id} editor={editor} known={known} onPage={onPage} />}
          </div>
        </div>
      </div>
      {editor && !section.made && (
        <AtCursor book={book} known={known} editor={editor} turn={turn} readOnly={readOnly} />
      )}
    </>
  )
}
