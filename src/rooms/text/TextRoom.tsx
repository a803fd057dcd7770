'use client'
import type { Editor } from '@tiptap/core'
import { useSearchParams } from 'next/navigation'
import { type RefObject, useDeferredValue, useMemo, useRef, useState } from 'react'
import { type Book, docWords, labels, roles, type Section, shortName } from '@/core/book'
import { redo, undo } from '@/data/changes'
import { bringInPicture, pictureTypes } from '@/data/pictures'
import { BookTop, NoBook } from '@/parts/BookTop'
import { FilePick, type FilePicker } from '@/parts/FilePick'
import { type OpenBook, useOpenBook } from '@/parts/openBook'
import { Sill, sillOf } from '@/parts/Sill'
import { useKeys } from '@/parts/useKeys'
import { useLatest } from '@/parts/useLatest'
import { useSay } from '@/parts/useSay'
import { AddSection } from './AddSection'
import { Column } from './Column'
import { insertPicture, insertSign } from './commands'
import { countOf } from './countOf'
import { InPages } from './InPages'
import { Pieces } from './Pieces'
import { SectionFacts } from './SectionFacts'
import { SectionList } from './SectionList'
import { SectionSettings } from './SectionSettings'
import { SignAtCursor } from './SignAtCursor'
import { useGoTo } from './useGoTo'
import { useSectionActs } from './useSectionActs'
import { useSectionEditor } from './useSectionEditor'
import './text.css'

/** The text: sections at the left, one calm column to write in. */
export function TextRoom({ bookId }: { bookId: string }) {
  const view = useOpenBook(bookId)
  if (view.missing) return <NoBook />
  return (
    <>
      <main id="room" className="room text">
        <BookTop bookId={bookId} view={view} stage="text" />
        {view.book ? (
          <Desk book={view.book} view={view} />
        ) : (
          <p className="waiting" role="status">
            Opening the text …
          </p>
        )}
      </main>
      <Sill
        figures={view.figures ? sillOf(view.figures, view.was) : []}
        asks={view.trouble ?? (view.settling && view.figures ? 'settling …' : view.figures?.findings[0]?.message)}
      />
    </>
  )
}

function Desk({ book, view }: { book: Book; view: OpenBook }) {
  const [chosen, setChosen] = useState<string>()
  const [turn, setTurn] = useState(0)
  const readOnly = view.hold === 'following'
  // What stands beside the text is drawn when there is time: neither the next key nor the press's answer waits for it.
  const beside = useDeferredValue(book)
  const section = useSection(book, chosen)
  const rev = view.revs?.get(section?.id ?? '') ?? 0
  const { editor, saving, flush } = useSectionEditor(book, section, { rev, readOnly }, () => setTurn(t => t + 1))
  const goTo = useGoTo(editor, section?.id)
  useUndoKeys(book.id, flush)
  const names = useMemo(() => labels(book.sections, book.data.language), [book])
  const label = section && names.get(section.id)
  const name = section && label ? shortName(label) || roles[section.role].name : ''
  const acts = useSectionActs({ bookId: book.id, section, name, editor, flush, onChoose: setChosen })
  const { picker, pick, bringIn } = usePictures(book.id, editor)
  const choose = useLatest((id: string): void => void flush().then(() => setChosen(id)))
  const go = useLatest((place: { section: string; block: string }): void => {
    setChosen(place.section)
    goTo(place)
  })
  const written = editor && !section?.made ? editor : undefined
  const words = section && !section.made ? (editor && !editor.isDestroyed ? countOf(editor) : docWords(section.doc)) : 0
  const whole = book.sections.reduce((n, s) => n + (s.made ? 0 : s.id === section?.id ? words : docWords(s.doc)), 0)
  return (
    <div className="desk">
      <aside className="left">
        <SectionList book={beside} chosen={section?.id} readOnly={readOnly} onChoose={choose} />
        <AddSection readOnly={readOnly} onAdd={acts.add} />
      </aside>
      <div className="column">
        {section ? (
          <Column
            section={section}
            numberWords={label?.numberWords}
            editor={editor}
            turn={turn}
            saving={saving}
            readOnly={readOnly}
            acts={acts}
            onPicture={pick}
          />
        ) : (
          <NoSections planned={!!book.plan} />
        )}
      </div>
      <aside className="right" aria-label="This section">
        <Pieces
          book={beside}
          section={section?.id}
          editor={section?.made ? undefined : editor}
          readOnly={readOnly}
          flush={flush}
        />
        {section && (
          <>
            <SectionFacts words={words} whole={whole} />
            {written && <SignAtCursor editor={written} turn={turn} readOnly={readOnly} />}
            {written && view.figures?.pages !== undefined && (
              <InPages
                bookId={book.id}
                editionId={view.edition!.id}
                editor={written}
                section={section.id}
                turn={turn}
                version={view.version}
                onLeave={flush}
              />
            )}
            <SectionSettings book={beside} section={section} name={name} readOnly={readOnly} acts={acts} onGo={go} />
          </>
        )}
      </aside>
      <FilePick ref={picker} label="Picture file" accept={pictureTypes} onPick={([file]) => bringIn(file!)} />
    </div>
  )
}

function NoSections({ planned }: { planned: boolean }) {
  return (
    <div className="made">
      <p>
        {planned
          ? 'What stands before and behind the planned pages is written here. Add a section at the left.'
          : 'This book has no sections yet. Add one at the left: a chapter to write in, or a page that is made from the book’s data.'}
      </p>
    </div>
  )
}

/** The section that is chosen, or asked for in the address; else the first that is written. */
function useSection(book: Book, chosen: string | undefined): Section | undefined {
  const asked = useSearchParams().get('section')
  return useMemo(
    () =>
      book.sections.find(s => s.id === (chosen ?? asked)) ??
      book.sections.find(s => s.part === 'body' && !s.made) ??
      book.sections.find(s => !s.made),
    [book, chosen, asked],
  )
}

/** Undo and redo in the text are the book's: the editor keeps no history. */
function useUndoKeys(bookId: string, flush: () => Promise<void>): void {
  const say = useSay()
  useKeys(e => {
    const here = e.target instanceof HTMLElement && e.target.closest('.ProseMirror')
    if (!(e.ctrlKey || e.metaKey) || e.key.toLowerCase() !== 'z' || !here) return
    e.preventDefault()
    void flush()
      .then(() => (e.shiftKey ? redo : undo)(bookId))
      .catch(say.failed)
  }, true)
}

/** Brings pictures in: as blocks, or as signs in the line. */
function usePictures(
  bookId: string,
  editor: Editor | undefined,
): { picker: RefObject<FilePicker | null>; pick: (sign: boolean) => void; bringIn: (file: File) => void } {
  const picker = useRef<FilePicker>(null)
  const inLine = useRef(false)
  const say = useSay()
  const pick = useLatest((sign: boolean): void => {
    inLine.current = sign
    picker.current?.open()
  })
  const bringIn = (file: File): void =>
    void bringInPicture(bookId, file).then(
      a => editor && (inLine.current ? insertSign(editor, a.id) : insertPicture(editor, a.id, '')),
      say.failed,
    )
  return { picker, pick, bringIn }
}
