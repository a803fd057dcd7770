'use client'
import type { Editor } from '@tiptap/core'
import { useRouter, useSearchParams } from 'next/navigation'
import { type ReactNode, useDeferredValue, useEffect, useMemo, useRef, useState } from 'react'
import { type Book, docWords, labels, roles, type Section, shortName } from '@/core/book'
import { redo, undo } from '@/data/changes'
import { bringInPicture, pictureTypes } from '@/data/pictures'
import { bringInRecording, recordingFiles } from '@/data/recordings'
import { BookTop, NoBook } from '@/parts/BookTop'
import { FilePick, type FilePicker } from '@/parts/FilePick'
import { type OpenBook, useOpenBook } from '@/parts/openBook'
import { usePreferences } from '@/parts/preferences'
import { Sill, sillOf } from '@/parts/Sill'
import { useKeys } from '@/parts/useKeys'
import { useLatest } from '@/parts/useLatest'
import { useSay } from '@/parts/useSay'
import { insertPicture, insertRecording, insertSign } from './commands'
import { countOf } from './countOf'
import { useDesk } from './desk/useDesk'
import { useFinding } from './find/useFinding'
import { Galley } from './galley/Galley'
import type { Known } from './galley/known'
import { SectionSentence } from './galley/SectionSentence'
import { SectionWords } from './galley/SectionWords'
import { type EarlyTurns, useEarlyTurns } from './galley/useEarlyTurns'
import { ListActs } from './list/ListActs'
import { type Choice, SectionList } from './list/SectionList'
import { usePicked } from './list/usePicked'
import { MatterSentence } from './matter/MatterSentence'
import { useMatter } from './matter/useMatter'
import { useOthers } from './others/useOthers'
import { OutPanel } from './takeOut/OutPanel'
import { usePacing } from './pace/usePacing'
import { useSittingTimer } from './pace/useSittingTimer'
import type { Panel } from './panel'
import { Pieces } from './Pieces'
import type { Insert } from './Toolbar'
import { useProofing } from './proof/useProofing'
import { TypedSigns } from './TypedSigns'
import { useGoTo } from './useGoTo'
import { useKnown } from './useKnown'
import { useOutline } from './useOutline'
import { useSectionActs } from './useSectionActs'
import { useSectionEditor } from './useSectionEditor'
import { useVersioning } from './versions/useVersioning'
import './text.css'

/** The text: sections at the left, the galley to write on, with what the printed pages make of it at its margins. */
export function TextRoom({ bookId }: { bookId: string }) {
  const turns = useEarlyTurns(bookId)
  const view = useOpenBook(bookId, { first: turns.first })
  const { focus, line } = usePreferences().desk
  const [section, setSection] = useState<string>()
  if (view.missing) return <NoBook />
  // What a book costs and lacks is no concern of who reads it for its author.
  const lent = !!view.book?.review && !view.book.review.whole
  return (
    <>
      <main id="room" className="room text" data-focus={focus} data-line={line}>
        <BookTop bookId={bookId} view={view} stage="text" section={section} />
        {view.book ? (
          <Desk book={view.book} view={view} turns={turns} onSection={setSection} />
        ) : (
          <p className="waiting" role="status">
            Opening the text …
          </p>
        )}
      </main>
      <Sill
        figures={view.figures ? sillOf(view.figures, view.was).filter(f => !lent || f.name === 'Pages') : []}
        asks={
          view.trouble ??
          (view.settling && view.figures ? 'settling …' : lent ? undefined : view.figures?.findings[0]?.message)
        }
      />
    </>
  )
}

function Desk({
  book,
  view,
  turns,
  onSection,
}: {
  book: Book
  view: OpenBook
  turns: EarlyTurns
  /** Hears which section is on the desk. */
  onSection: (id: string | undefined) => void
}) {
  const [chosen, setChosen] = useState<string>()
  const [turn, setTurn] = useState(0)
  const readOnly = view.hold === 'following'
  // What stands beside the text is drawn when there is time: neither the next key nor the press's answer waits for it.
  const beside = useDeferredValue(book)
  const outline = useOutline(beside)
  const section = useSection(book, chosen)
  const at = section?.id
  useEffect(() => onSection(at), [at, onSection])
  const rev = view.revs?.get(section?.id ?? '') ?? 0
  const { editor, saving, flush } = useSectionEditor(book, section, { rev, readOnly }, () => setTurn(t => t + 1))
  const goTo = useGoTo(editor, section?.id)
  useUndoKeys(book.id, flush)
  const names = useMemo(() => labels(book.sections, book.data.language), [book])
  const label = section && names.get(section.id)
  const name = section && label ? shortName(label) || roles[section.role].name : ''
  const { picked, pick, only } = usePicked(beside, section?.id)
  const acts = useSectionActs({ book: beside, section, picked, name, editor, flush, onChoose: only(setChosen) })
  const { pick: pickFile, pickers } = useFiles(book.id, editor)
  const choose = useLatest((id: string, how: Choice): void => {
    pick(id, how)
    if (!how.toggles && !how.extends) void flush().then(() => setChosen(id))
  })
  const go = useLatest((place: { section: string; block: string }): void => {
    only(setChosen)(place.section)
    goTo(place)
  })
  const matter = useMatter(beside, flush, only(setChosen))
  // Whose text it is, and what is to be done with it, is said first to who reads it for somebody.
  const [instead, setInstead] = useState<Panel | undefined>(book.review ? 'others' : undefined)
  const panelOn = {
    book: beside,
    section: section?.id,
    editor: section?.made ? undefined : editor,
    turn,
    readOnly,
    acts,
    onChoose: only(setChosen),
  }
  const panelOf = (panel: Panel) => ({
    open: instead === panel,
    onOpen: (open: boolean) => setInstead(open ? panel : undefined),
  })
  const finding = useFinding({ ...panelOn, ...panelOf('find') })
  const proofing = useProofing({ ...panelOn, ...panelOf('proof'), quiet: instead === 'others' })
  const others = useOthers({ ...panelOn, ...panelOf('others'), picked, flush })
  const versioning = useVersioning({ ...panelOn, ...panelOf('versions'), flush })
  const written = editor && !section?.made ? editor : undefined
  const words =
    section && !section.made ? (written && !written.isDestroyed ? countOf(written) : docWords(section.doc)) : 0
  const whole = book.sections.reduce((n, s) => n + (s.made ? 0 : s.id === section?.id ? words : docWords(s.doc)), 0)
  const timer = useSittingTimer(book.id, whole)
  const desk = useDesk(written, book.data.language, panelOf('desk'))
  const out = instead === 'out' && (
    <OutPanel bookId={book.id} picked={picked} flush={flush} onClose={() => setInstead(undefined)} />
  )
  const pacing = usePacing({ ...panelOn, ...panelOf('pace'), words: whole, timer })
  const known = useKnown(book, view, section?.id, { turns, ...useMarginal(proofing, others) })
  const turnSigns = useLatest((does: string, operation: (b: Book) => Book): void => void acts.operate(does, operation))
  const toPage = usePageLink(book.id, section?.id, flush)
  return (
    <div className="desk">
      <aside className="left">
        {finding ??
          proofing.panel ??
          others.panel ??
          versioning.panel ??
          pacing.panel ??
          desk ??
          (out || undefined) ?? (
            <>
              <SectionList
                book={beside}
                chosen={section?.id}
                picked={picked}
                readOnly={readOnly}
                onChoose={choose}
                onMove={acts.move}
                onRemove={acts.remove}
                onDuplicate={acts.duplicate}
              />
              <ListActs
                sections={outline.sections}
                picked={picked}
                readOnly={readOnly}
                acts={acts}
                matter={matter}
                onPanel={setInstead}
              />
            </>
          )}
      </aside>
      <div className="column">
        {(versioning.view ?? pacing.view) ? (
          <div className="paper">{versioning.view ?? pacing.view}</div>
        ) : section ? (
          <Galley
            book={beside}
            section={section}
            numberWords={label?.numberWords}
            editor={editor}
            turn={turn}
            saving={saving}
            readOnly={readOnly}
            acts={acts}
            known={known}
            onInsert={pickFile}
            onPage={toPage}
            sentence={
              <>
                <SectionSentence
                  book={section.made ? beside : outline}
                  edition={view.edition}
                  section={outline.sections.find(s => s.id === section.id) ?? section}
                  name={name}
                  readOnly={readOnly}
                  acts={acts}
                />
                <MatterSentence section={section} matter={matter} readOnly={readOnly} />
                {!section.made && <SectionWords words={words} whole={whole} />}
              </>
            }
            beside={
              <>
                <Pieces book={beside} section={section.id} editor={written} readOnly={readOnly} flush={flush} />
                <TypedSigns book={beside} readOnly={readOnly} onTurn={turnSigns} onGo={go} />
              </>
            }
          />
        ) : (
          <NoSections planned={!!book.plan} />
        )}
      </div>
      {pickers}
    </div>
  )
}

/** What stands in the margin at places of the text: doubts, and what others changed. */
function useMarginal(
  proofing: Pick<ReturnType<typeof useProofing>, 'doubts' | 'onDoubt'>,
  others: Pick<ReturnType<typeof useOthers>, 'changes' | 'onChange'>,
): Pick<Known, 'doubts' | 'onDoubt'> {
  const { doubts } = proofing
  const { changes } = others
  const all = useMemo(() => [...doubts, ...changes], [doubts, changes])
  const onDoubt = useLatest((key: string): void => void (others.onChange(key) || proofing.onDoubt(key)))
  return { doubts: all, onDoubt }
}

/** The way to a place of the section in the pages, when what is written is there. */
function usePageLink(
  bookId: string,
  section: string | undefined,
  flush: () => Promise<void>,
): (place: { block: string; chars: number }) => void {
  const router = useRouter()
  return useLatest(({ block, chars }): void => {
    const at = new URLSearchParams({ section: section ?? '', ...(block ? { block, chars: String(chars) } : {}) })
    void flush().then(() => router.push(`/book/${encodeURIComponent(bookId)}/interior?${at}`))
  })
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

/** Brings pictures in, as blocks or as signs in the line; and recordings, as blocks. */
function useFiles(bookId: string, editor: Editor | undefined): { pick: (what: Insert) => void; pickers: ReactNode } {
  const picker = useRef<FilePicker>(null)
  const player = useRef<FilePicker>(null)
  const inLine = useRef(false)
  const say = useSay()
  const pick = useLatest((what: Insert): void => {
    inLine.current = what === 'sign'
    const { current } = what === 'recording' ? player : picker
    current?.open()
  })
  const picture = (file: File): void =>
    void bringInPicture(bookId, file).then(
      a => editor && (inLine.current ? insertSign(editor, a.id) : insertPicture(editor, a.id, '')),
      say.failed,
    )
  const recording = (file: File): void =>
    void bringInRecording(bookId, file).then(r => editor && insertRecording(editor, r.id), say.failed)
  const pickers = (
    <>
      <FilePick ref={picker} label="Picture file" accept={pictureTypes} onPick={([file]) => picture(file!)} />
      <FilePick ref={player} label="Sound or film file" accept={recordingFiles} onPick={([file]) => recording(file!)} />
    </>
  )
  return { pick, pickers }
}
