'use client'
import { Checkbox, Input } from 'antd'
import { memo, useEffect, useMemo, useRef, useState } from 'react'
import { type Book, type Hit, labels, roles, type Search, shortName } from '@/core/book'
import { ActValue } from '@/parts/ActValue'
import { ordinal } from '@/parts/ordinal'
import { ChoiceValue } from '@/parts/Sentence'
import { useLatest } from '@/parts/useLatest'
import { useSay } from '@/parts/useSay'
import { PanelFrame } from '../PanelFrame'
import { snippetOf } from '../shown/snippet'
import type { Becomes, Find } from './useFind'

/** Most places that are listed; all of them are counted, and changed. */
const LISTED = 300

const marks: { value: string; words: string; becomes: Becomes }[] = [
  { value: 'em', words: 'italic', becomes: { mark: 'em' } },
  { value: 'strong', words: 'bold', becomes: { mark: 'strong' } },
  { value: 'small_caps', words: 'small capitals', becomes: { mark: 'small_caps' } },
  { value: 'heading', words: 'headings', becomes: { block: 'heading' } },
  { value: 'scene break', words: 'scene breaks', becomes: { block: 'scene break' } },
  { value: 'verse', words: 'verse', becomes: { block: 'verse' } },
  { value: 'chapter', words: 'chapters that begin there', becomes: { role: 'chapter' } },
]

/** What is looked for in the book, where it is, and what becomes of it. */
export function FindPanel({
  book,
  find,
  readOnly,
  onShow,
  onClose,
}: {
  book: Book
  find: Find
  readOnly: boolean
  onShow: (section: string, hit: Hit) => void
  onClose: () => void
}) {
  const { search, found, count, trouble, at } = find
  const say = useSay()
  const words = useRef<HTMLSpanElement>(null)
  useEffect(() => words.current?.querySelector('input')?.focus(), [])
  const names = labels(book.sections, book.data.language)
  const all = useMemo(() => found.flatMap(f => f.hits.map(hit => ({ section: f.section.id, hit }))), [found])
  const now = all[at]
  const left = find.anyPassed ? all.filter(p => !find.passed(p.section, p.hit)).length : count
  const step = (by: number): void => {
    const to = all[(((at + by) % count) + count) % count]
    if (!to) return
    find.step(at + by)
    onShow(to.section, to.hit)
  }
  const pass = useLatest(find.pass)
  const show = useLatest((section: string, hit: Hit): void => {
    find.step(all.findIndex(p => p.hit === hit))
    onShow(section, hit)
  })
  const become = (what: Becomes, only?: (typeof all)[number]): void =>
    void find.become(what, only).then(stands => {
      if (stands && !only)
        say.done(`${left.toLocaleString('en')} ${left === 1 ? 'place' : 'places'} changed; Undo takes it back.`)
    })
  return (
    <PanelFrame name="Find" close="Close the search" onClose={onClose}>
      <span ref={words}>
        <Input
          aria-label="What is looked for"
          placeholder="Words, or a part of one"
          value={search.words}
          status={trouble ? 'error' : ''}
          onChange={e => find.look({ words: e.target.value })}
          onPressEnter={e => step(e.shiftKey ? -1 : now && !e.nativeEvent.isComposing ? 1 : 0)}
        />
      </span>
      <Closely search={search} find={find} />
      {trouble && (
        <p className="trouble" role="alert">
          {trouble}
        </p>
      )}
      {search.words && !trouble && (
        <p role="status">
          {count ? (
            <>
              <b>{count.toLocaleString('en')}</b> {count === 1 ? 'place' : 'places'} in {found.length}{' '}
              {found.length === 1 ? 'section' : 'sections'}, the {ordinal(at + 1)} shown.{' '}
              <ActValue words="The one before" onAct={() => step(-1)} /> ·{' '}
              <ActValue words="the next" onAct={() => step(1)} />
            </>
          ) : (
            'Nowhere.'
          )}
        </p>
      )}
      {count > 0 && !readOnly && (
        <Changing
          pattern={!!search.pattern}
          left={left}
          count={count}
          onBecome={become}
          onOne={now && (what => become(what, now))}
        />
      )}
      <div className="places">
        {listed(found).map(({ section, hits }) => {
          const label = names.get(section.id)
          return (
            <section key={section.id} aria-label={label ? shortName(label) : section.id}>
              <h3>{(label && shortName(label)) || roles[section.role].name}</h3>
              <ul>
                {hits.map(hit => (
                  <Place
                    key={`${hit.line} ${hit.from}`}
                    hit={hit}
                    passed={find.passed(section.id, hit)}
                    current={now?.hit === hit}
                    section={section.id}
                    onPass={pass}
                    onShow={show}
                  />
                ))}
              </ul>
            </section>
          )
        })}
        {count > LISTED && <p>… and {(count - LISTED).toLocaleString('en')} more.</p>}
      </div>
    </PanelFrame>
  )
}

/** As many as are listed, by their sections. */
function listed(found: Find['found']): Find['found'] {
  let room = LISTED
  return found.flatMap(f => {
    const hits = f.hits.slice(0, room)
    room -= hits.length
    return hits.length ? [{ ...f, hits }] : []
  })
}

/** How closely it looks, and where. */
function Closely({ search, find }: { search: Search; find: Find }) {
  const told = (label: string, key: 'cases' | 'accents' | 'whole' | 'pattern', [no, yes]: [string, string]) => (
    <ChoiceValue
      label={label}
      value={search[key] ? 'yes' : 'no'}
      disabled={false}
      choices={[
        { value: 'no', words: no },
        { value: 'yes', words: yes },
      ]}
      onChange={v => find.look({ [key]: v === 'yes' })}
    />
  )
  return (
    <p>
      In{' '}
      <ChoiceValue
        label="Where it looks"
        value={find.scope}
        disabled={false}
        choices={[
          { value: 'book', words: 'the whole book' },
          { value: 'section', words: 'this section' },
        ]}
        onChange={v => find.within(v as Find['scope'])}
      />
      , {told('Whole words', 'whole', ['parts of words too', 'whole words alone'])}, capitals{' '}
      {told('Capitals', 'cases', ['alike', 'told apart'])}
      {!search.pattern && <>, accents {told('Accents', 'accents', ['alike', 'told apart'])}</>}, read as{' '}
      {told('Read as', 'pattern', ['words', 'a pattern'])}.
      {search.pattern && (
        <span className="help">
          {' '}
          \d is a figure, \w a letter or a figure, . whatever stands there, + one or more, ? one or none, [abc] one of
          these, ( ) what $1 puts back, ^ and $ the ends of a paragraph.
        </span>
      )}
    </p>
  )
}

/** What becomes of the places: other words, or another look. */
function Changing({
  pattern,
  left,
  count,
  onBecome,
  onOne,
}: {
  pattern: boolean
  left: number
  count: number
  onBecome: (what: Becomes) => void
  onOne: ((what: Becomes) => void) | undefined
}) {
  const [words, setWords] = useState('')
  const how = left === count ? `all ${left.toLocaleString('en')}` : `the ${left.toLocaleString('en')} ticked`
  return (
    <div className="changing">
      <Input
        aria-label="What stands in their place"
        placeholder={pattern ? 'In their place ($1: the first brackets)' : 'In their place'}
        value={words}
        onChange={e => setWords(e.target.value)}
      />
      <p>
        Replace <ActValue words={how} off={!left} onAct={() => onBecome({ words })} />
        {onOne && (
          <>
            {' '}
            or <ActValue words="this one" onAct={() => onOne({ words })} />
          </>
        )}
        ; or make {left === count ? 'them' : 'the ticked'}{' '}
        <ChoiceValue
          label="Make them"
          value=""
          choices={[{ value: '', words: 'something else' }, ...marks.map(({ value, words }) => ({ value, words }))]}
          onChange={v => {
            const mark = marks.find(m => m.value === v)
            if (mark) onBecome(mark.becomes)
          }}
        />
        .
      </p>
    </div>
  )
}

/** A place in its line: one of many, drawn anew when it is another. */
const Place = memo(function Place({
  section,
  hit,
  passed,
  current,
  onPass,
  onShow,
}: {
  section: string
  hit: Hit
  passed: boolean
  current: boolean
  onPass: (section: string, hit: Hit) => void
  onShow: (section: string, hit: Hit) => void
}) {
  const { in: line, from, to } = hit
  const { cutBefore, before, found, behind, cutBehind } = snippetOf(line.text, from, to)
  return (
    <li data-current={current} data-passed={passed}>
      <Checkbox
        checked={!passed}
        aria-label={`Change “${before}${found}${behind}”`}
        onChange={() => onPass(section, hit)}
      />
      <button type="button" onClick={() => onShow(section, hit)}>
        {cutBefore && '…'}
        {before}
        <b>{found}</b>
        {behind}
        {cutBehind && '…'}
        {line.kind !== 'text' && <em> in a {line.kind}</em>}
      </button>
    </li>
  )
})
