'use client'
import { EditorContent } from '@tiptap/react'
import { App, Button, Dropdown } from 'antd'
import { useSearchParams } from 'next/navigation'
import { useEffect, useMemo, useRef, useState } from 'react'
import {
  addSection,
  type Book,
  docWords,
  labels,
  newSection,
  removeSection,
  type Role,
  roles,
  type Section,
  shortName,
  splitSection,
  takeOver,
} from '@/core/book'
import { commitSections, redo, undo } from '@/data/changes'
import { bringInPicture, pictureTypes } from '@/data/pictures'
import { BookTop, NoBook } from '@/parts/BookTop'
import { Sill, sillOf } from '@/parts/Sill'
import { useLatest } from '@/parts/useLatest'
import { useOpenBook } from '@/parts/openBook'
import { blockAt, insertPicture, insertSign } from './commands'
import { countOf } from './countOf'
import { InPages } from './InPages'
import { Heading } from './Heading'
import { MadePage } from './MadePage'
import { Pieces } from './Pieces'
import { SectionFacts } from './SectionFacts'
import { goToPlace } from './places'
import { SectionList } from './SectionList'
import { roleOptions, SectionSettings } from './SectionSettings'
import { SignAtCursor } from './SignAtCursor'
import { Toolbar } from './Toolbar'
import { useSectionEditor } from './useSectionEditor'
import './text.css'
import { useSay } from '@/parts/useSay'
import { useKeys } from '@/parts/useKeys'
import { FilePick, type FilePicker } from '@/parts/FilePick'

/** The text: sections at the left, one calm column to write in. */
export function TextRoom({ bookId }: { bookId: string }) {
  const view = useOpenBook(bookId)
  const { book, revs } = view
  const params = useSearchParams()
  const asked = params.get('section')
  const block = params.get('block')
  const chars = Number(params.get('chars')) || 0
  const [chosen, setChosen] = useState<string>()
  const [turn, setTurn] = useState(0)
  const picker = useRef<FilePicker>(null)
  /** Whether the picture that is being picked goes into the line. */
  const inLine = useRef(false)
  const { modal } = App.useApp()
  const say = useSay()
  const readOnly = view.hold === 'following'

  const section = useMemo(() => {
    if (!book) return undefined
    return (
      book.sections.find(s => s.id === (chosen ?? asked)) ??
      book.sections.find(s => s.part === 'body' && !s.made) ??
      book.sections.find(s => !s.made)
    )
  }, [book, chosen, asked])
  const { editor, saving, flush } = useSectionEditor(book, section, revs?.get(section?.id ?? '') ?? 0, readOnly, () =>
    setTurn(t => t + 1),
  )

  // A place asked for in the address is gone to once.
  const went = useRef('')
  const [going, setGoing] = useState<{ section: string; block: string }>()
  useEffect(() => {
    if (!going || !editor || section?.id !== going.section) return
    requestAnimationFrame(() => !editor.isDestroyed && goToPlace(editor, { block: going.block, chars: 0 }))
    setGoing(undefined)
  }, [going, editor, section?.id])
  useEffect(() => {
    const key = `${asked}/${block}/${chars}`
    if (!editor || !block || section?.id !== asked || went.current === key) return
    went.current = key
    requestAnimationFrame(() => !editor.isDestroyed && goToPlace(editor, { block, chars }))
  }, [editor, block, chars, asked, section?.id])

  useKeys(e => {
    const here = e.target instanceof HTMLElement && e.target.closest('.ProseMirror')
    if (!(e.ctrlKey || e.metaKey) || e.key.toLowerCase() !== 'z' || !here) return
    e.preventDefault()
    void flush()
      .then(() => (e.shiftKey ? redo : undo)(bookId))
      .catch(say.failed)
  }, true)

  const operate = useLatest((label: string, operation: (b: Book) => Book): Promise<boolean> =>
    flush()
      .then(() => commitSections(bookId, label, operation))
      .then(
        () => true,
        (x: Error) => {
          say.failed(x)
          return false
        },
      ),
  )
  const names = book ? labels(book.sections, book.data.language) : undefined
  const name = section && names ? shortName(names.get(section.id)!) || roles[section.role].name : ''
  const change = useLatest((label: string, patch: Partial<Section>): Promise<boolean> =>
    !section
      ? Promise.resolve(false)
      : operate(label, b => ({ ...b, sections: b.sections.map(s => (s.id === section.id ? { ...s, ...patch } : s)) })),
  )
  const choose = useLatest((id: string): void => void flush().then(() => setChosen(id)))
  const go = useLatest((place: { section: string; block: string }): void => {
    setChosen(place.section)
    setGoing(place)
  })

  const add = (role: Role): void => {
    void operate(`Add ${roles[role].name.toLowerCase()}`, b => {
      // Its id is the next one of the book as it is when it is written.
      const fresh = newSection(b, role)
      setChosen(fresh.id)
      return addSection(b, fresh, section && roles[role].part === section.part ? section.id : undefined)
    })
  }
  const remove = useLatest((): void => {
    if (!section) return
    const words = section.made ? 0 : docWords(section.doc)
    const leave = (): void => {
      void operate(`Remove “${name}”`, b => removeSection(b, section.id))
      setChosen(undefined)
    }
    if (words < 50) leave()
    else
      modal.confirm({
        title: `Remove “${name}”?`,
        content: `${words.toLocaleString('en')} words leave the book. Undo brings them back.`,
        okText: 'Remove it',
        cancelText: 'Keep it',
        onOk: leave,
      })
  })
  const split = useLatest((): void => {
    const at = editor && blockAt(editor)
    if (!section || !at) return
    void operate(`Split “${name}”`, b => splitSection(b, section.id, at))
  })
  const picture = (file: File): void =>
    void bringInPicture(bookId, file).then(
      a => editor && (inLine.current ? insertSign(editor, a.id) : insertPicture(editor, a.id, '')),
      say.failed,
    )
  const pick = useLatest((sign: boolean): void => {
    inLine.current = sign
    picker.current?.open()
  })
  if (view.missing) return <NoBook />
  const words = section && !section.made ? (editor && !editor.isDestroyed ? countOf(editor) : docWords(section.doc)) : 0
  const whole = book
    ? book.sections.reduce((n, s) => n + (s.made ? 0 : s.id === section?.id ? words : docWords(s.doc)), 0)
    : 0
  return (
    <>
      <main id="room" className="room text">
        <BookTop bookId={bookId} view={view} stage="text" />
        {book && (
          <div className="desk">
            <aside className="left">
              <SectionList book={book} chosen={section?.id} readOnly={readOnly} onChoose={choose} />
              <Dropdown
                disabled={readOnly}
                trigger={['click']}
                menu={{
                  items: roleOptions.map(g => ({
                    key: g.label,
                    type: 'group' as const,
                    label: g.label,
                    children: g.options.map(o => ({ key: o.value, label: o.label })),
                  })),
                  onClick: ({ key }) => add(key as Role),
                  style: { maxHeight: 420, overflow: 'auto' },
                }}
              >
                <Button className="add">Add a section</Button>
              </Dropdown>
            </aside>
            <div className="column">
              {section && (
                <>
                  <div className="tools">
                    {editor && !section.made ? (
                      <Toolbar editor={editor} turn={turn} disabled={readOnly} onPicture={pick} />
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
                      numberWords={names?.get(section.id)?.numberWords}
                      readOnly={readOnly}
                      onTitle={t => change(`Title “${t}”`, { title: t })}
                    />
                    {section.made ? (
                      <MadePage
                        onTake={() =>
                          void operate(`Take over “${name}”`, b =>
                            takeOver(b, section.id, b.editions.find(e => e.isbn)?.isbn),
                          )
                        }
                      />
                    ) : (
                      <EditorContent editor={editor ?? null} />
                    )}
                  </div>
                </>
              )}
              {!section && (
                <div className="made">
                  <p>
                    {book.plan
                      ? 'What stands before and behind the planned pages is written here. Add a section at the left.'
                      : 'This book has no sections yet. Add one at the left: a chapter to write in, or a page that is made from the book’s data.'}
                  </p>
                </div>
              )}
            </div>
            <aside className="right" aria-label="This section">
              {book && (
                <Pieces
                  book={book}
                  section={section?.id}
                  editor={section?.made ? undefined : editor}
                  readOnly={readOnly}
                  flush={flush}
                />
              )}
              {section && (
                <>
                  <SectionFacts words={words} whole={whole} />
                  {editor && !section.made && <SignAtCursor editor={editor} turn={turn} readOnly={readOnly} />}
                  {editor && !section.made && view.figures?.pages !== undefined && (
                    <InPages
                      bookId={bookId}
                      editionId={view.edition!.id}
                      editor={editor}
                      section={section.id}
                      turn={turn}
                      version={view.version}
                      onLeave={flush}
                    />
                  )}
                  {book && (
                    <SectionSettings
                      book={book}
                      section={section}
                      name={name}
                      readOnly={readOnly}
                      onOperate={operate}
                      onChange={change}
                      onSplit={split}
                      onRemove={remove}
                      onGo={go}
                    />
                  )}
                </>
              )}
            </aside>
            <FilePick ref={picker} label="Picture file" accept={pictureTypes} onPick={([file]) => picture(file!)} />
          </div>
        )}
        {!book && (
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
