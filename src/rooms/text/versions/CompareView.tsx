'use client'
import dayjs from 'dayjs'
import { memo, useState } from 'react'
import { type Book, docText, labels, roles, shortName } from '@/core/book'
import {
  blockBroughtBack,
  bookBroughtBack,
  type BlockChange,
  type Difference,
  type Part,
  sectionBroughtBack,
  type SectionChanges,
} from '@/core/compare'
import type { VersionRecord } from '@/data/records'
import { ActValue } from '@/parts/ActValue'
import { ChoiceValue } from '@/parts/Sentence'
import type { SectionActs } from '../useSectionActs'
import type { Moment, Versions } from './useVersions'

/** How two states are laid before the reader. */
type Look = 'words' | 'beside' | 'as it was'

/** What differs between a kept version and another state of the book, and what is brought back of it. */
export function CompareView({
  versions,
  section,
  readOnly,
  acts,
}: {
  versions: Versions
  /** The section that is open. */
  section: string | undefined
  readOnly: boolean
  acts: SectionActs
}) {
  const [look, setLook] = useState<Look>('words')
  const [scope, setScope] = useState<'book' | 'section'>('book')
  const { chosen, states, changes, trouble } = versions
  if (!chosen) return null
  const seen = changes.filter(c => scope === 'book' || c.id === section)
  const shown = look === 'as it was' ? seen.filter(c => c.before) : seen.filter(c => c.fate !== 'same' || c.moved)
  // Only what the book itself is compared with can be brought back into it.
  const back = versions.with === 'now' && !readOnly && states ? backOf(acts, states.was, chosen) : undefined
  return (
    <div className="galley comparing">
      <p className="issaid">
        <b>{chosen.label}</b>, {said(chosen)}, beside{' '}
        <ChoiceValue
          label="Compared with"
          value={String(versions.with)}
          disabled={false}
          choices={[
            { value: 'now', words: 'the book as it is now' },
            ...(versions.kept ?? [])
              .filter(v => v.id !== chosen.id)
              .map(v => ({ value: String(v.id), words: `${v.label}, ${said(v)}` })),
          ]}
          onChange={v => versions.compareWith(v === 'now' ? 'now' : (Number(v) as Moment))}
        />
        , over{' '}
        <ChoiceValue
          label="How much of it"
          value={scope}
          disabled={false}
          choices={[
            { value: 'book', words: 'the whole book' },
            { value: 'section', words: 'this section' },
          ]}
          onChange={v => setScope(v as typeof scope)}
        />
        ,{' '}
        <ChoiceValue
          label="How it is laid out"
          value={look}
          disabled={false}
          choices={[
            { value: 'words', words: 'word by word' },
            { value: 'beside', words: 'one beside the other' },
            { value: 'as it was', words: 'as it was' },
          ]}
          onChange={v => setLook(v as Look)}
        />
        .
      </p>
      {trouble && (
        <p className="trouble" role="alert">
          {trouble}
        </p>
      )}
      {states && (
        <p className="issaid" role="status">
          {versions.difference && inWords(versions.difference, changes)}
          {back && (
            <>
              {' '}
              Bring back <ActValue words="the whole book" onAct={back.book} />; undo takes it back again.
            </>
          )}
        </p>
      )}
      {!states && !trouble && (
        <p className="issaid" role="status">
          Reading the version …
        </p>
      )}
      {states && shown.map(c => <SectionCompared key={c.id} change={c} states={states} look={look} back={back} />)}
    </div>
  )
}

const said = ({ at }: VersionRecord): string => dayjs(at).format('D MMM YYYY, H:mm')

interface Back {
  book: () => void
  section: (id: string) => void
  block: (block: string) => void
}

/** What brings back parts of a version; each is one step of the book. */
const backOf = (acts: SectionActs, was: Book, { label }: VersionRecord): Back => ({
  book: () => void acts.operate(`Bring back “${label}”`, now => bookBroughtBack(now, was)),
  section: id => void acts.operate('Bring back a section', now => sectionBroughtBack(now, was, id)),
  block: block => void acts.operate('Bring back a paragraph', now => blockBroughtBack(now, was, block)),
})

/** How much differs, in a sentence. */
function inWords(d: Difference, sections: readonly SectionChanges[]): string {
  const some = (n: number, one: string, several: string): string[] =>
    n ? [`${n.toLocaleString('en')} ${n === 1 ? one : several}`] : []
  const blocks = [
    ...some(d.changed, 'paragraph changed', 'paragraphs changed'),
    ...some(d.fresh, 'came', 'came'),
    ...some(d.gone, 'went', 'went'),
    ...some(d.moved, 'moved', 'moved'),
  ]
  const moved = sections.filter(s => s.moved).length
  const all = [...blocks, ...some(moved, 'section moved', 'sections moved')]
  if (!all.length && sections.every(s => s.fate === 'same')) return 'They say the same.'
  const words = [...some(d.wordsNew, 'word came', 'words came'), ...some(d.wordsGone, 'went', 'went')]
  return `${all.length ? all.join(', ') : 'Titles changed'}${words.length ? `: ${words.join(', ')}` : ''}.`
}

const SectionCompared = memo(function SectionCompared({
  change,
  states,
  look,
  back,
}: {
  change: SectionChanges
  states: { was: Book; is: Book }
  look: Look
  back: Back | undefined
}) {
  const { id, fate, moved, title, blocks, before, after } = change
  const of = after ? states.is : states.was
  const label = labels(of.sections, of.data.language).get(id)
  const name = (label && shortName(label)) || roles[(after ?? before)!.role].name
  return (
    <section className="compared" aria-label={name}>
      <h2>
        {look === 'as it was' ? (before?.title ?? name) : title.length ? <Words parts={title} /> : name}
        <small>
          {fate === 'new' ? 'came' : fate === 'gone' ? 'went' : ''}
          {moved ? ' moved' : ''}
          {back && before && fate !== 'same' && (
            <>
              {' '}
              <ActValue
                words="bring back the section"
                label={`Bring back the section “${name}”`}
                onAct={() => back.section(id)}
              />
            </>
          )}
        </small>
      </h2>
      {look === 'as it was'
        ? before!.doc.content.map(b => (
            <p key={b.attrs.id}>{docText({ type: 'doc', content: [b] }) || wordFor(b.type)}</p>
          ))
        : runsOf(blocks).map(run =>
            Array.isArray(run) ? (
              <p key={run[0]!.id} className="alike">
                {run.length === 1 ? 'one paragraph' : `${run.length} paragraphs`} the same
              </p>
            ) : (
              <Block
                key={`${run.id}${run.fate}`}
                change={run}
                beside={look === 'beside'}
                onBack={
                  back && after && run.before && run.fate !== 'same'
                    ? () => back.block(run.before!.attrs.id)
                    : undefined
                }
              />
            ),
          )}
    </section>
  )
})

/** Blocks in their order; those that are the same, in runs. */
function runsOf(blocks: readonly BlockChange[]): (BlockChange | BlockChange[])[] {
  const out: (BlockChange | BlockChange[])[] = []
  for (const b of blocks) {
    const last = out.at(-1)
    if (b.fate !== 'same' || b.moved) out.push(b)
    else if (Array.isArray(last)) last.push(b)
    else out.push([b])
  }
  return out
}

const kinds: Record<string, string> = {
  scene_break: 'scene break',
  page_break: 'page break',
  image: 'picture',
  table: 'table',
}
const wordFor = (type: string): string => `[${kinds[type] ?? type}]`

/** A block that differs: word by word, or as it was beside as it is. */
function Block({
  change: { fate, moved, parts, before, after },
  beside,
  onBack,
}: {
  change: BlockChange
  beside: boolean
  onBack: (() => void) | undefined
}) {
  const type = (after ?? before)!.type
  const words = (without?: Part['is']) =>
    parts.some(p => p.is !== without) ? <Words parts={parts.filter(p => p.is !== without)} /> : wordFor(type)
  const fates = [
    fate === 'new' ? 'came' : fate === 'gone' ? 'went' : fate === 'set otherwise' ? fate : '',
    moved ? 'moved' : '',
  ]
  const told = fates.filter(Boolean).join(', ')
  return (
    <div className="block" data-fate={fate}>
      {beside ? (
        <div className="both">
          <p>{before && words('new')}</p>
          <p>{after && words('gone')}</p>
        </div>
      ) : (
        <p>{words()}</p>
      )}
      {(told || onBack) && (
        <small>
          {told} {onBack && <ActValue words="bring back" label="Bring back this paragraph" onAct={onBack} />}
        </small>
      )}
    </div>
  )
}

/** Text with what went struck and what came underlined. */
function Words({ parts }: { parts: readonly Part[] }) {
  return parts.map((p, i) =>
    p.is === 'same' ? p.text : p.is === 'gone' ? <del key={i}>{p.text}</del> : <ins key={i}>{p.text}</ins>,
  )
}
