import type { Editor } from '@tiptap/core'
import { lift, setBlockType, wrapIn } from '@tiptap/pm/commands'
import { wrapInList } from '@tiptap/pm/schema-list'
import { type EditorState, NodeSelection, TextSelection, type Transaction } from '@tiptap/pm/state'
import { Fragment } from '@tiptap/pm/model'
import { inCase, nextCase, safeHref } from '@/core/book'

type Command = (state: EditorState, dispatch?: (tr: Transaction) => void) => boolean
const run = (editor: Editor, command: Command): void => {
  command(editor.state, editor.view.dispatch)
  editor.view.focus()
}

/** What a block is, in the words of the schema; the choice of the toolbar. */
export const blockKinds = [
  'paragraph',
  'heading 1',
  'heading 2',
  'heading 3',
  'quote',
  'letter',
  'verse',
  'list',
  'numbered list',
] as const
export type BlockKind = (typeof blockKinds)[number]

/** The kind of the block at the cursor. */
export function kindAt(state: EditorState): BlockKind {
  const { $from } = state.selection
  for (let d = $from.depth; d > 0; d--) {
    const n = $from.node(d)
    if (n.type.name === 'list') return n.attrs.ordered ? 'numbered list' : 'list'
    if (n.type.name === 'quote' || n.type.name === 'letter' || n.type.name === 'verse') return n.type.name
    if (n.type.name === 'heading') return `heading ${n.attrs.level as 1 | 2 | 3}`
  }
  return 'paragraph'
}

/** Makes the chosen blocks what is asked; what they were in (a quote, a list, verse) is left first. */
export function setKind(editor: Editor, kind: BlockKind): void {
  const { nodes } = editor.schema
  unwrap(editor)
  if (kind === 'paragraph') return run(editor, setBlockType(nodes.paragraph!, { align: null }))
  if (kind.startsWith('heading')) return run(editor, setBlockType(nodes.heading!, { level: Number(kind.at(-1)) }))
  if (editor.state.selection.$from.parent.type === nodes.heading) run(editor, setBlockType(nodes.paragraph!))
  if (kind === 'quote' || kind === 'letter') return run(editor, wrapIn(nodes[kind]!))
  if (kind === 'list' || kind === 'numbered list')
    return run(editor, wrapInList(nodes.list!, { ordered: kind !== 'list' }))
  run(editor, (state, dispatch) => {
    const { $from, $to } = state.selection
    const range = $from.blockRange($to)
    if (!range) return false
    const lines = []
    for (let i = range.startIndex; i < range.endIndex; i++)
      lines.push(nodes.line!.create(null, range.parent.child(i).content))
    dispatch?.(state.tr.replaceWith(range.start, range.end, nodes.verse!.create(null, lines)))
    return true
  })
}

/** Takes the chosen blocks out of quote, letter, list or verse. */
function unwrap(editor: Editor): void {
  const { nodes } = editor.schema
  run(editor, (state, dispatch) => {
    const { $from } = state.selection
    for (let d = $from.depth; d > 0; d--)
      if ($from.node(d).type === nodes.verse) {
        const verse = $from.node(d)
        const paragraphs: import('@tiptap/pm/model').Node[] = []
        verse.forEach(l => paragraphs.push(nodes.paragraph!.create(null, l.content)))
        const at = $from.before(d)
        const tr = state.tr.replaceWith(at, $from.after(d), paragraphs)
        dispatch?.(tr.setSelection(TextSelection.near(tr.doc.resolve(Math.min(at + 1, tr.doc.content.size)))))
        return true
      }
    return false
  })
  for (let i = 0; i < 4; i++) {
    const before = editor.state.doc
    run(editor, lift as Command)
    if (before.eq(editor.state.doc)) break
  }
}

/** Puts a break after the block at the cursor. */
export const insertBreak = (editor: Editor, type: 'scene_break' | 'page_break'): void =>
  run(editor, (state, dispatch) => {
    const { $from } = state.selection
    const after = $from.depth ? $from.after(1) : $from.pos
    const { nodes } = state.schema
    const needsMore = after === state.doc.content.size
    const tr = state.tr.insert(
      after,
      needsMore ? Fragment.from([nodes[type]!.create(), nodes.paragraph!.create()]) : nodes[type]!.create(),
    )
    if (needsMore) tr.setSelection(TextSelection.create(tr.doc, after + 2))
    dispatch?.(tr.scrollIntoView())
    return true
  })

/** Puts a note at the cursor and the cursor into it. */
export const insertNote = (editor: Editor): void =>
  run(editor, (state, dispatch) => {
    const at = state.selection.to
    if (state.selection.$to.parent.type.name === 'footnote') return false
    const tr = state.tr.insert(at, state.schema.nodes.footnote!.create(null, state.schema.text('Note')))
    dispatch?.(tr.setSelection(TextSelection.create(tr.doc, at + 1, at + 5)).scrollIntoView())
    return true
  })

/** Puts a picture after the block at the cursor. */
export const insertPicture = (editor: Editor, asset: string, alt: string): void =>
  insertFigure(editor, { asset, alt, share: 1 })

const insertFigure = (editor: Editor, attributes: Record<string, unknown>): void =>
  run(editor, (state, dispatch) => {
    const { $from } = state.selection
    const after = $from.depth ? $from.after(1) : $from.pos
    const tr = state.tr.insert(after, state.schema.nodes.image!.create(attributes))
    dispatch?.(tr.setSelection(NodeSelection.create(tr.doc, after)).scrollIntoView())
    return true
  })

/** Puts a recording after the block at the cursor. */
export const insertRecording = (editor: Editor, plays: string): void => insertFigure(editor, { plays })

/** Puts a small picture into the line at the cursor. */
export const insertSign = (editor: Editor, asset: string): void =>
  run(editor, (state, dispatch) => {
    dispatch?.(
      state.tr
        .replaceSelectionWith(state.schema.nodes.sign!.create({ asset, alt: '', decoration: true }), false)
        .scrollIntoView(),
    )
    return true
  })

/** Where a selected picture stands in the document. */
const pictureAt = ({ selection }: EditorState): number | undefined =>
  selection instanceof NodeSelection && selection.node.type.name === 'image' ? selection.from : undefined

/** Where the selection leads: the words at the cursor, or the picture that is selected; empty where nowhere. */
export function linkAt(editor: Editor): string {
  const at = pictureAt(editor.state)
  const leads: unknown = at === undefined ? editor.getAttributes('link').href : editor.state.doc.nodeAt(at)!.attrs.leads
  return typeof leads === 'string' ? leads : ''
}

/** Sets or takes away a link on the selection; an incomplete address is completed. */
export function setLink(editor: Editor, address: string): void {
  const href = address.trim()
  const full = !href ? '' : (safeHref(/^[a-z]+:/i.test(href) || href.startsWith('#') ? href : `https://${href}`) ?? '')
  const at = pictureAt(editor.state)
  if (at !== undefined) editor.view.dispatch(editor.state.tr.setNodeAttribute(at, 'leads', full))
  else if (full) editor.chain().focus().setMark('link', { href: full }).run()
  else editor.chain().focus().unsetMark('link').run()
}

/** Turns the case of the chosen words: small letters, a title, capitals, and round again. Marks, notes and pictures stay. */
export const turnCase = (editor: Editor, language: string): void =>
  run(editor, (state, dispatch) => {
    const { from, to } = state.selection
    const texts: { from: number; to: number; text: string }[] = []
    state.doc.nodesBetween(from, to, (n, pos) => {
      if (!n.isText) return
      const [a, b] = [Math.max(from, pos), Math.min(to, pos + n.nodeSize)]
      texts.push({ from: a, to: b, text: n.text!.slice(a - pos, b - pos) })
    })
    const whole = texts.map(t => t.text).join('')
    if (!whole.trim()) return false
    // Pieces of one word may be formatted otherwise: the whole is turned, and each piece takes its part where its length is kept.
    const as = nextCase(whole, language)
    const turned = inCase(whole, as, language)
    const tr = state.tr
    let at = whole.length
    for (const t of [...texts].reverse()) {
      at -= t.text.length
      const is = turned.length === whole.length ? turned.slice(at, at + t.text.length) : inCase(t.text, as, language)
      if (is !== t.text) tr.replaceWith(t.from, t.to, state.schema.text(is, state.doc.resolve(t.from).nodeAfter!.marks))
    }
    // What was chosen stays chosen: the next turn is of the same words.
    dispatch?.(tr.setSelection(TextSelection.create(tr.doc, from, Math.min(tr.doc.content.size, tr.mapping.map(to)))))
    return true
  })

/** A list of the chosen blocks, or none where they are one already. */
export const toggleList = (editor: Editor, kind: 'list' | 'numbered list'): void =>
  setKind(editor, kindAt(editor.state) === kind ? 'paragraph' : kind)

/** The id of the top block at the cursor, where a section would be split. */
export function blockAt(editor: Editor): string | undefined {
  const { $from } = editor.state.selection
  return $from.depth ? ($from.node(1).attrs.id as string) : undefined
}

/** Puts words at the cursor: a line of them in the line, more as paragraphs after the block. */
export const insertWords = (editor: Editor, text: string): void =>
  run(editor, (state, dispatch) => {
    const lines = text.split('\n').filter(l => l.trim())
    const { $from } = state.selection
    const { nodes } = state.schema
    if (lines.length < 2 && $from.parent.inlineContent) dispatch?.(state.tr.insertText(lines[0] ?? '').scrollIntoView())
    else
      dispatch?.(
        state.tr
          .insert(
            $from.depth ? $from.after(1) : $from.pos,
            lines.map(l => nodes.paragraph!.create(null, state.schema.text(l))),
          )
          .scrollIntoView(),
      )
    return true
  })
