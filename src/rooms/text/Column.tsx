'use client'
import type { Editor } from '@tiptap/core'
import { EditorContent } from '@tiptap/react'
import type { Section } from '@/core/book'
import type { Saving } from '@/data/pen'
import { Heading } from './Heading'
import { MadePage } from './MadePage'
import { Toolbar } from './Toolbar'
import type { SectionActs } from './useSectionActs'

/** The calm column that a section is written in. */
export function Column({
  section,
  numberWords,
  editor,
  turn,
  saving,
  readOnly,
  acts,
  onPicture,
}: {
  section: Section
  numberWords: string | undefined
  editor: Editor | undefined
  /** Counts what has changed in the editor. */
  turn: number
  saving: Saving
  readOnly: boolean
  acts: SectionActs
  onPicture: (sign: boolean) => void
}) {
  return (
    <>
      <div className="tools">
        {editor && !section.made ? (
          <Toolbar editor={editor} turn={turn} disabled={readOnly} onPicture={onPicture} />
        ) : (
          <span className="toolbar" />
        )}
        <span className={`saving ${saving === 'not saved' ? 'stop' : ''}`} role="status">
          {readOnly ? 'following' : saving === 'saving' ? 'saving …' : saving}
        </span>
      </div>
      <div className="paper">
        <Heading
          key={section.id}
          section={section}
          numberWords={numberWords}
          readOnly={readOnly}
          onTitle={t => acts.change(`Title “${t}”`, { title: t })}
        />
        {section.made ? <MadePage onTake={acts.takeOver} /> : <EditorContent editor={editor ?? null} />}
      </div>
    </>
  )
}
