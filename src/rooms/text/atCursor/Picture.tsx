'use client'
import type { Node } from '@tiptap/pm/model'
import { type EditorState, NodeSelection } from '@tiptap/pm/state'
import { Fragment } from 'react'
import { type Crop, type ImageStand, withSide } from '@/core/book'
import { kindWords } from '@/parts/kinds'
import { megabytes } from '@/parts/megabytes'
import { ChoiceValue, NumberValue } from '@/parts/Sentence'
import { usePress } from '@/parts/usePress'
import { placeName } from '../linkChoices'
import { Describes } from './Describes'
import { type AtCursorProps, kindOf, nearest, setAttributes } from './kind'

const stands: readonly { value: ImageStand; words: string }[] = [
  { value: 'measure', words: 'in the measure' },
  { value: 'left', words: 'beside the text, left' },
  { value: 'right', words: 'beside the text, right' },
  { value: 'page', words: 'alone on a page' },
  { value: 'plate', words: 'as a plate to the edges' },
]
const widths: readonly [number, string][] = [
  [1, 'as wide as there is room'],
  [0.75, 'three quarters wide'],
  [0.66, 'two thirds wide'],
  [0.5, 'half as wide'],
  [0.4, 'two fifths wide'],
  [0.33, 'a third wide'],
  [0.25, 'a quarter wide'],
]

export interface FoundPicture {
  node: Node
  pos: number
}

/** The picture or recording that is selected, or whose caption the cursor is in. */
export function findPicture({ selection }: EditorState): FoundPicture | undefined {
  if (selection instanceof NodeSelection)
    return selection.node.type.name === 'image' ? { node: selection.node, pos: selection.from } : undefined
  const { $from } = selection
  for (let d = $from.depth; d > 0; d--)
    if ($from.node(d).type.name === 'image') return { node: $from.node(d), pos: $from.before(d) }
  return undefined
}

/** Where a picture stands, what of it is shown and how sharp that prints, where it leads, and what it says to those who cannot see it. */
function Sentence({ book, known, editor, found: { node, pos }, readOnly }: AtCursorProps<FoundPicture>) {
  const leads = (node.attrs.leads as string | undefined) ?? ''
  return (
    <>
      The picture at the cursor stands{' '}
      <ChoiceValue
        label="Where the picture stands"
        value={node.attrs.stands as string}
        choices={stands}
        disabled={readOnly}
        onChange={v => setAttributes(editor, pos, { stands: v })}
      />
      {node.attrs.stands !== 'plate' && (
        <>
          ,{' '}
          <ChoiceValue
            label="Width of the picture"
            value={String(nearest(widths, node.attrs.share as number))}
            choices={widths.map(([value, words]) => ({ value: String(value), words }))}
            disabled={readOnly}
            onChange={v => setAttributes(editor, pos, { share: Number(v) })}
          />
        </>
      )}
      , shown <Cropped editor={editor} node={node} pos={pos} readOnly={readOnly} />
      {leads && (
        <>, and leads to {leads.startsWith('#') ? `“${placeName(book, leads.slice(1)) ?? 'nowhere'}”` : leads}</>
      )}
      . It is <Describes name="picture" editor={editor} node={node} pos={pos} readOnly={readOnly} />.
      <Prints book={book} known={known} block={node.attrs.id as string} />
      <Weighs bookId={book.id} ready={known.version > 0} asset={node.attrs.asset as string} />
    </>
  )
}

const SIDES: readonly [keyof Crop, string][] = [
  ['top', 'above'],
  ['right', 'right'],
  ['bottom', 'below'],
  ['left', 'left'],
]
const PERCENT = { factor: 100, step: 1, digits: 0, unit: '%' }
/** A tenth off each side, to begin with. */
const TENTH: Crop = { top: 0.1, right: 0.1, bottom: 0.1, left: 0.1 }

/** What is left out of the picture; its file stays whole. */
function Cropped({
  editor,
  node,
  pos,
  readOnly,
}: Pick<AtCursorProps<FoundPicture>, 'editor' | 'readOnly'> & FoundPicture) {
  const crop = node.attrs.crop as Crop | null
  const set = (next: Crop | null): void => setAttributes(editor, pos, { crop: next })
  return (
    <>
      <ChoiceValue
        label="What of the picture is shown"
        value={crop ? 'part' : 'whole'}
        choices={SHOWN}
        disabled={readOnly}
        onChange={v => set(v === 'part' ? TENTH : null)}
      />
      {crop &&
        SIDES.map(([side, words], i) => (
          <Fragment key={side}>
            {i ? ', ' : ' '}
            <NumberValue
              label={`Left out ${words}`}
              value={crop[side]}
              least={0}
              most={0.95}
              form={PERCENT}
              onChange={part => set(withSide(crop, side, part))}
            />{' '}
            {words}
          </Fragment>
        ))}
    </>
  )
}

/** How sharp it is in each print edition. */
function Prints({ book, known, block }: Pick<AtCursorProps<FoundPicture>, 'book' | 'known'> & { block: string }) {
  const { answer = {} } = usePress(
    async press => press.printed(book.id, known.section, block),
    [book.id, known.section, block],
    {
      anew: [known.version],
    },
  )
  const printed = book.editions.flatMap(e => {
    const p = answer[e.id]
    return p
      ? [{ id: e.id, words: `${Math.floor(p.ppi)} pixels an inch in the ${kindWords[e.kind]!.toLowerCase()}` }]
      : []
  })
  if (!printed.length) return null
  return <> It prints with {printed.map(p => p.words).join(', ')}.</>
}

/** What it weighs in the book's ebook. */
function Weighs({ bookId, ready, asset }: { bookId: string; ready: boolean; asset: string }) {
  // Words that are written beside it make it no heavier: it is asked when the cursor comes.
  const { answer } = usePress(
    async press => (ready ? { of: asset, weight: await press.pictureWeight(bookId, asset) } : undefined),
    [bookId, ready, asset],
  )
  const weight = answer?.of === asset ? answer.weight : undefined
  if (!weight) return null
  const { is, was } = weight
  return (
    <>
      {' '}
      In the ebook it weighs {megabytes(is)}
      {is < was && ` of ${megabytes(was)}`}.
    </>
  )
}

const SHOWN = [
  { value: 'whole', words: 'whole' },
  { value: 'part', words: 'without' },
] as const

export const picture = kindOf('picture', findPicture, Sentence)
