'use client'
import { memo, useEffect, useMemo, useRef } from 'react'
import { type Book, type DocJson, labels, type Line, linesOf, primaryTag, roles, shortName } from '@/core/book'
import { type Doubt, proofKinds, type Told } from '@/core/proof'
import { ActValue } from '@/parts/ActValue'
import { ordinal } from '@/parts/ordinal'
import { languageName } from '@/parts/languages'
import { setPreferences, usePreferences } from '@/parts/preferences'
import { ChoiceValue } from '@/parts/Sentence'
import { SeveralValue } from '@/parts/SeveralValue'
import { useLatest } from '@/parts/useLatest'
import { PanelFrame } from '../PanelFrame'
import { snippetOf } from '../shown/snippet'
import { DictionarySentence } from './DictionarySentence'
import { DoubtSentence } from './DoubtSentence'
import type { Proofing } from './useProof'

/** Most doubts that are listed; all of them are counted, and stepped through. */
const LISTED = 200

/** What is doubted in the book, one place after another, and what becomes of it. */
export function ProofPanel({
  book,
  proof,
  meant,
  scope,
  readOnly,
  onScope,
  onShow,
  onStep,
  onClose,
}: {
  book: Book
  proof: Proofing
  /** What misspelt words may have been meant as, as far as that is known. */
  meant: ReadonlyMap<string, readonly string[]>
  scope: 'book' | 'section'
  readOnly: boolean
  onScope: (scope: 'book' | 'section') => void
  onShow: (doubt: Doubt) => void
  onStep: (by: number) => void
  onClose: () => void
}) {
  const { doubts, now, at, trouble, reading } = proof
  const sections = useMemo(() => new Set(doubts.map(d => d.section)).size, [doubts])
  const dictionary = proof.dictionary && <DictionarySentence language={book.data.language} {...proof.dictionary} />
  // That words are not looked up is said before what else is found.
  const lacks = !!proof.dictionary?.lacking && !proof.dictionary.own
  return (
    <PanelFrame name="Proof" kind="proofing" close="Close the proof" onClose={onClose}>
      <Closely scope={scope} onScope={onScope} />
      {lacks && dictionary}
      {trouble && (
        <p className="trouble" role="alert">
          {trouble}
        </p>
      )}
      <p role="status">
        {doubts.length ? (
          <>
            <b>{doubts.length.toLocaleString('en')}</b> {doubts.length === 1 ? 'doubt' : 'doubts'} in {sections}{' '}
            {sections === 1 ? 'section' : 'sections'}, the {ordinal(at + 1)} shown.{' '}
            <ActValue words="The one before" onAct={() => onStep(-1)} /> ·{' '}
            <ActValue words="the next" onAct={() => onStep(1)} />
          </>
        ) : trouble ? null : reading ? (
          'Reading …'
        ) : (
          'Nothing is doubted.'
        )}
      </p>
      {now && <DoubtSentence doubt={now} proof={proof} meant={meant.get(now.was)} readOnly={readOnly} />}
      <div className="places">
        <Places
          book={book}
          doubts={doubts}
          now={now}
          onShow={d => {
            proof.step(doubts.indexOf(d))
            onShow(d)
          }}
        />
        <ToldOf proof={proof} readOnly={readOnly} language={book.data.language} />
        {!lacks && dictionary}
      </div>
    </PanelFrame>
  )
}

const kindChoices = proofKinds.map(({ id, name }) => ({ value: id, words: name[1] }))
const LOOKS = new Map(proofKinds.map(k => [k.id, k.looksAt]))

/** What it looks at, and where. */
function Closely({ scope, onScope }: { scope: 'book' | 'section'; onScope: (scope: 'book' | 'section') => void }) {
  const { proof: likes } = usePreferences()
  const set = (patch: Partial<typeof likes>): void => setPreferences({ proof: { ...likes, ...patch } })
  return (
    <p>
      In{' '}
      <ChoiceValue
        label="Where it reads"
        value={scope}
        disabled={false}
        choices={[
          { value: 'book', words: 'the whole book' },
          { value: 'section', words: 'this section' },
        ]}
        onChange={v => onScope(v as typeof scope)}
      />{' '}
      it looks for{' '}
      <SeveralValue
        label="What it looks for"
        none="nothing"
        value={proofKinds.map(k => k.id).filter(id => !likes.off.includes(id))}
        choices={kindChoices}
        counted={n =>
          n === proofKinds.length ? `all ${n} kinds of doubt` : `${n} of ${proofKinds.length} kinds of doubt`
        }
        shown={(id, words) => (
          <span className="several-option" title={LOOKS.get(id)}>
            {words}
          </span>
        )}
        onChange={on => set({ off: proofKinds.map(k => k.id).filter(id => !on.includes(id)) })}
      />
      . Doubts stand in the margin{' '}
      <ChoiceValue
        label="Doubts in the margin"
        value={likes.margin}
        disabled={false}
        choices={[
          { value: 'open', words: 'while this is open' },
          { value: 'always', words: 'always' },
        ]}
        onChange={v => set({ margin: v as typeof likes.margin })}
      />
      .
    </p>
  )
}

/** The places, by section. */
function Places({
  book,
  doubts,
  now,
  onShow,
}: {
  book: Book
  doubts: readonly Doubt[]
  now: Doubt | undefined
  onShow: (doubt: Doubt) => void
}) {
  const names = labels(book.sections, book.data.language)
  const listed = doubts.slice(0, LISTED)
  const show = useLatest(onShow)
  const root = useRef<HTMLDivElement>(null)
  useEffect(() => {
    root.current?.querySelector('[data-current=true]')?.scrollIntoView({ block: 'nearest' })
  }, [now])
  return (
    <div ref={root}>
      {book.sections
        .map(section => ({ section, here: listed.filter(d => d.section === section.id) }))
        .filter(({ here }) => here.length)
        .map(({ section, here }) => {
          const label = names.get(section.id)
          const lines = linesAt(section.doc)
          return (
            <section key={section.id}>
              <h3>{(label && shortName(label)) || roles[section.role].name}</h3>
              <ul>
                {here.map((d, i) => (
                  <Place
                    key={`${d.line} ${d.from} ${d.kind} ${i}`}
                    doubt={d}
                    text={(d.line < 0 ? section.title : lines[d.line]?.text) ?? ''}
                    current={d === now}
                    onShow={show}
                  />
                ))}
              </ul>
            </section>
          )
        })}
      {doubts.length > LISTED && <p>… and {(doubts.length - LISTED).toLocaleString('en')} more.</p>}
    </div>
  )
}

/** A text's lines, as long as it is the same. */
function linesAt(doc: DocJson): readonly Line[] {
  let lines = known.get(doc)
  if (!lines) known.set(doc, (lines = linesOf(doc)))
  return lines
}
const known = new WeakMap<DocJson, readonly Line[]>()

interface PlaceAt {
  doubt: Doubt
  /** Of its line. */
  text: string
  current: boolean
  onShow: (doubt: Doubt) => void
}

/** A doubt in its line: one of many, drawn anew when it is another. */
const Place = memo(function Place({ doubt, text, current, onShow }: PlaceAt) {
  const { from, to, was, says } = doubt
  const { cutBefore, before, found, behind, cutBehind } = snippetOf(text, from, to)
  return (
    <li data-current={current}>
      <button type="button" onClick={() => onShow(doubt)}>
        {cutBefore && '…'}
        {before}
        <b>{was.trim() ? found : '␣'.repeat(was.length)}</b>
        {behind}
        {cutBehind && '…'} <em>{says}</em>
      </button>
    </li>
  )
})

/** What was learnt and told: words that are right, doubts that are left. Each can be doubted again. */
function ToldOf({ proof, readOnly, language }: { proof: Proofing; readOnly: boolean; language: string }) {
  const { learnt, told, untell } = proof
  const list = (
    what: readonly [one: string, several: string],
    items: readonly { words: string; told: Told }[],
    where: 'book' | 'all',
  ) =>
    items.length > 0 && (
      <details>
        <summary>
          {items.length.toLocaleString('en')} {what[items.length === 1 ? 0 : 1]}
        </summary>
        <ul className="told">
          {items.map(({ words, told: one }) => (
            <li key={words}>
              {words}{' '}
              <ActValue
                words="doubt it"
                label={`Doubt “${words}” again`}
                off={readOnly}
                onAct={() => untell(one, where)}
              />
            </li>
          ))}
        </ul>
      </details>
    )
  const books = `all your books in ${languageName(primaryTag(language))}`
  const words = (all: readonly string[]) => all.map(word => ({ words: word, told: { word } }))
  const left = (all: readonly string[]) => all.map(name => ({ words: saidOf(name), told: { left: name } }))
  return (
    <div className="toldof">
      {learnt.length > 0 && (
        <details>
          <summary>
            {learnt.length} {learnt.length === 1 ? 'name' : 'names'} learnt by their capitals
          </summary>
          <p>{learnt.join(', ')}.</p>
        </details>
      )}
      {list(['word of this book', 'words of this book'], words(told.book.words), 'book')}
      {list(['doubt left in this book', 'doubts left in this book'], left(told.book.left), 'book')}
      {list([`word of ${books}`, `words of ${books}`], words(told.all.words), 'all')}
      {list([`doubt left in ${books}`, `doubts left in ${books}`], left(told.all.left), 'all')}
    </div>
  )
}

/** A doubt's name in words: its kind, and what it is about. */
function saidOf(name: string): string {
  const [kind, ...about] = JSON.parse(name) as string[]
  const said = proofKinds.find(k => k.id === kind)?.name[0] ?? kind!
  return `${about.at(-1)!.trim() || '␣'} (${said})`
}
