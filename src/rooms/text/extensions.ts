import {
  type Editor,
  Extension,
  InputRule,
  Mark,
  markInputRule,
  Node,
  textInputRule,
  wrappingInputRule,
} from '@tiptap/core'
import {
  baseKeymap,
  chainCommands,
  exitCode,
  joinBackward,
  liftEmptyBlock,
  setBlockType,
  splitBlock,
} from '@tiptap/pm/commands'
import { keymap } from '@tiptap/pm/keymap'
import type { Schema } from '@tiptap/pm/model'
import { type EditorState, Plugin, PluginKey, TextSelection, type Transaction } from '@tiptap/pm/state'
import { liftListItem, sinkListItem, splitListItem } from '@tiptap/pm/schema-list'
import { dashesOf, marks, nodes, quoteBetween, quotesOf, readAnswers, spacesSigns, withSpace } from '@/core/book'
import { askForIds, nextNumber } from '@/data/idLease'
import { carriedAttribute } from './clipboard'
import { toggleList, turnCase } from './commands'
import { focusBlock } from './desk/focusBlock'
import { foldedNotes } from './foldedNotes'
import { leaving } from './leaving'
import { pictureView, signView } from './pictureView'
import { shownSelection } from './shownSelection'
import { goToCell } from './tables'

/** The editor's nodes and marks, made from the core's own schema: there is one schema of text, and the core owns it. */
const coreNodes = Object.entries(nodes).map(([name, spec]) =>
  Node.create({
    name,
    topNode: name === 'doc',
    content: spec.content,
    group: spec.group,
    inline: spec.inline,
    defining: spec.defining,
    isolating: spec.isolating,
    selectable: spec.selectable,
    // What is pasted brings its attributes only from Porchlight itself.
    addAttributes: () =>
      Object.fromEntries(
        Object.entries(spec.attrs ?? {}).map(([a, v]) => [
          a,
          { default: v.default, rendered: false, parseHTML: (e: HTMLElement) => carriedAttribute(e, a, v.default) },
        ]),
      ),
    parseHTML: () => (spec.parseDOM ?? []) as never,
    renderHTML: ({ node }) => (spec.toDOM ? spec.toDOM(node) : ['span', 0]) as never,
    ...(name === 'image' ? { addNodeView: () => pictureView } : name === 'sign' ? { addNodeView: () => signView } : {}),
  }),
)

/** Attributes of marks as a page says them. */
const saidIn: Record<string, (e: HTMLElement) => unknown> = {
  tag: e => e.getAttribute('lang'),
  at: e => e.getAttribute('data-shops'),
  words: e => e.getAttribute('data-remark'),
  by: e => e.getAttribute('data-by') ?? '',
  when: e => Number(e.getAttribute('data-when')) || 0,
  answers: e => readAnswers(e.getAttribute('data-answers')),
}

const coreMarks = Object.entries(marks).map(([name, spec]) =>
  Mark.create({
    name,
    inclusive: spec.inclusive,
    excludes: spec.excludes,
    addAttributes: () =>
      Object.fromEntries(
        Object.entries(spec.attrs ?? {}).map(([a, v]) => [
          a,
          {
            default: v.default === undefined ? '' : v.default,
            rendered: false,
            parseHTML: saidIn[a] ?? ((e: HTMLElement) => e.getAttribute(a)),
          },
        ]),
      ),
    parseHTML: () => (spec.parseDOM ?? []) as never,
    renderHTML: ({ mark }) => (spec.toDOM ? spec.toDOM(mark, true) : ['span', 0]) as never,
  }),
)

/** Gives every block and note that has none an id of its own, and so a split paragraph's second half. Where no number is at hand they wait for one. */
const blockIds = (book: string) =>
  Extension.create({
    name: 'blockIds',
    addProseMirrorPlugins() {
      const { editor } = this
      const named = (state: EditorState): Transaction | null => {
        const seen = new Set<string>()
        const tr = state.tr
        let short = false
        state.doc.descendants((n, pos) => {
          if (!('id' in n.attrs)) return
          const id = n.attrs.id as string
          if (id && !seen.has(id)) return void seen.add(id)
          const number = nextNumber(book)
          if (number === undefined) short = true
          const own = number === undefined ? '' : `${n.type.name === 'footnote' ? 'n' : 'b'}${number}`
          if (own) seen.add(own)
          if (own !== id) tr.setNodeAttribute(pos, 'id', own)
        })
        if (short)
          void askForIds(book)
            .then(() => {
              const late = editor.isDestroyed ? null : named(editor.state)
              if (late) editor.view.dispatch(late)
            })
            .catch(() => undefined) // The store is full or failing, which is said; the blocks wait on.
        return tr.docChanged ? tr : null
      }
      return [
        new Plugin({
          key: new PluginKey('blockIds'),
          appendTransaction: (trs, _old, state) => (trs.some(t => t.docChanged) ? named(state) : null),
        }),
      ]
    },
  })

/** What one key does to the chosen words. */
function shortcuts(editor: Editor, language: string): Record<string, () => boolean> {
  const mark = (name: string) => () => editor.commands.toggleMark(name)
  const done = (act: () => void) => () => {
    act()
    return true
  }
  return {
    'Mod-b': mark('strong'),
    'Mod-i': mark('em'),
    'Mod-Shift-k': mark('small_caps'),
    'Mod-Shift-x': mark('strike'),
    'Mod-.': mark('superscript'),
    'Mod-,': mark('subscript'),
    'Mod-Shift-u': done(() => turnCase(editor, language)),
    'Mod-Shift-8': done(() => toggleList(editor, 'list')),
    'Mod-Shift-7': done(() => toggleList(editor, 'numbered list')),
  }
}

/** Whether the cursor is in a paragraph of a cell. */
const inCell = ({ selection: { $from } }: EditorState): boolean =>
  $from.depth > 1 && $from.node(-1).type.name === 'cell'

/** Marks by key, paragraphs that split and join as writers expect, verse lines, lists. */
const keys = (language: string) =>
  Extension.create({
    name: 'keys',
    addKeyboardShortcuts() {
      return shortcuts(this.editor, language)
    },
    addProseMirrorPlugins() {
      const { schema } = this.editor
      const item = schema.nodes.item!
      const { plugin, stays } = leaving()
      return [
        plugin,
        keymap({
          Enter: chainCommands(
            // A cell stays one cell, whatever is typed in it.
            (state, dispatch) => inCell(state) && splitBlock(state, dispatch),
            splitListItem(item),
            // In verse, a new line; on an empty last line, out of it.
            (state, dispatch) => {
              const { $from } = state.selection
              if ($from.parent.type !== schema.nodes.line) return false
              if (
                $from.parent.content.size === 0 &&
                $from.indexAfter(-1) === $from.node(-1).childCount &&
                $from.node(-1).childCount > 1
              ) {
                if (dispatch) {
                  const tr = state.tr.delete($from.before(), $from.after())
                  const after = tr.mapping.map($from.after(-1))
                  tr.insert(after, schema.nodes.paragraph!.create())
                  dispatch(tr.setSelection(TextSelection.create(tr.doc, after + 1)).scrollIntoView())
                }
                return true
              }
              return splitBlock(state, dispatch)
            },
            // A heading or caption is followed by a paragraph.
            (state, dispatch) => {
              const { $from, empty } = state.selection
              if (
                !empty ||
                $from.parent.type !== schema.nodes.heading ||
                $from.parentOffset !== $from.parent.content.size
              )
                return false
              if (dispatch) {
                const after = $from.after()
                const tr = state.tr.insert(after, schema.nodes.paragraph!.create())
                dispatch(tr.setSelection(TextSelection.create(tr.doc, after + 1)).scrollIntoView())
              }
              return true
            },
            liftEmptyBlock,
            splitBlock,
          ),
          'Shift-Enter': chainCommands(exitCode, (state, dispatch) => {
            dispatch?.(state.tr.replaceSelectionWith(schema.nodes.hard_break!.create()).scrollIntoView())
            return true
          }),
          Backspace: chainCommands(
            (state, dispatch) => {
              const { $from, empty } = state.selection
              return empty && $from.parentOffset === 0 && $from.parent.type === schema.nodes.heading
                ? setBlockType(schema.nodes.paragraph!)(state, dispatch)
                : false
            },
            (state, dispatch, view) => (baseKeymap.Backspace ?? joinBackward)(state, dispatch, view),
          ),
          'Tab': stays(chainCommands(goToCell(this.editor, 1), sinkListItem(item))),
          'Shift-Tab': stays(chainCommands(goToCell(this.editor, -1), liftListItem(item))),
        }),
        keymap(baseKeymap),
      ]
    },
  })

/** A sign that is typed behind a word, or behind a space that would break, has the space that French sets. */
const frenchSpace = new InputRule({
  // An address that is begun is none of French's words.
  find: /(?<=[\p{L}\p{N}»)\]’”…%])(?<!\b(?:https?|mailto|tel))[ \u00a0]?[;:!?]$/iu,
  handler: ({ state, range, match }) => {
    const right = withSpace(match[0])
    if (right !== undefined) state.tr.insertText(right, range.from, range.to)
  },
})

/** Hyphens that mean a dash become that of the language, with its spaces, or the one that says that somebody speaks. */
function typedDashes(language: string): InputRule[] {
  const { sign, stands, speaks } = dashesOf(language)
  const held = stands === 'apart' ? `\u00a0${sign}` : sign
  return [
    ...(speaks ? [textInputRule({ find: /^(?:--?) $|^--$/, replace: speaks })] : []),
    // Where dashes stand close, whoever types spaces about one has them.
    ...(stands === 'close'
      ? []
      : [textInputRule({ find: /(?<=\S) ?--$/u, replace: stands === 'hugging' ? ` ${sign}` : held })]),
    textInputRule({ find: /--$/, replace: sign }),
    ...(stands === 'hugging'
      ? []
      : [textInputRule({ find: /(?<=[^\s\d]) - $/u, replace: stands === 'apart' ? `${held} ` : sign })]),
    // A word that follows at once stands apart from the dash as the one before it does.
    ...(stands === 'apart' ? [afterDash(held)] : []),
  ]
}

const afterDash = (held: string): InputRule =>
  new InputRule({
    find: new RegExp(`${held}(\\p{L})$`, 'u'),
    handler: ({ state, range, match }) => void state.tr.insertText(`${held} ${match[1]!}`, range.from, range.to),
  })

/** The signs of plain text become what they mean as one types; undo gives them back. */
function signs({ nodes: n, marks: m }: Schema, language: string): InputRule[] {
  return [
    markInputRule({ find: /(?:^|[\s(“‘])(\*\*(?![\s*])([^*]+)(?<!\s)\*\*)$/, type: m.strong! }),
    markInputRule({ find: /(?:^|[\s(“‘])(\*(?![\s*])([^*]+)(?<!\s)\*)$/, type: m.em! }),
    markInputRule({ find: /(?:^|[\s(“‘])(_(?![\s_])([^_]+)(?<!\s)_)$/, type: m.em! }),
    markInputRule({ find: /(?:^|[\s(“‘])(~~(?![\s~])([^~]+)(?<!\s)~~)$/, type: m.strike! }),
    wrappingInputRule({ find: /^> $/, type: n.quote! }),
    wrappingInputRule({
      find: dashesOf(language).speaks ? /^[+*] $/ : /^[-+*] $/,
      type: n.list!,
      getAttributes: { ordered: false },
    }),
    wrappingInputRule({
      find: /^(\d{1,3})[.)] $/,
      type: n.list!,
      getAttributes: match => ({ ordered: true, start: Number(match[1]) }),
    }),
    new InputRule({
      find: /^(?:\*\*\*|\* \* \*)$/,
      handler: ({ state, range }) => {
        const $from = state.doc.resolve(range.from)
        const { parent } = $from
        if ($from.depth !== 1 || parent.type !== n.paragraph) return null
        // What stands behind the cursor is the paragraph still.
        const rest = parent.content.cut(state.doc.resolve(range.to).parentOffset)
        const put = [n.scene_break!.create(), n.paragraph!.create(parent.attrs, rest)]
        const at = $from.before()
        state.tr.replaceWith(at, $from.after(), put)
        state.tr.setSelection(TextSelection.create(state.tr.doc, at + 2))
      },
    }),
  ]
}

/** Typographic signs as one types, quotes by the book's language; each can be taken back by undo. */
const typography = (language: string) =>
  Extension.create({
    name: 'typography',
    addInputRules() {
      const swap = (find: RegExp, replace: string) => textInputRule({ find, replace })
      const block = (find: RegExp, type: string, attrs: Record<string, unknown> = {}) =>
        new InputRule({
          find,
          handler: ({ state, range }) =>
            void state.tr
              .delete(range.from, range.to)
              .setBlockType(range.from, range.from, state.schema.nodes[type]!, attrs),
        })
      return [
        new InputRule({
          find: /["']$/,
          handler: ({ state, range, match }) => {
            // The rule's own range, not the selection: a caret that has just moved is known to the page before it is to the editor.
            const $from = state.doc.resolve(range.from)
            const before = $from.parent.textBetween(0, $from.parentOffset, undefined, '\ufffc')
            const { single } = quotesOf(language)
            const open = before.lastIndexOf(single[0]) > before.lastIndexOf(single[1])
            // What is typed next is not known: a quote at the start of a word opens.
            const { sign } = quoteBetween(match[0] as '"' | "'", before, 'x', language, open)
            const ends = !/(?:^|[\s([{—–\-/])$/u.test(before) && match[0] === "'" && open
            state.tr.insertText(ends ? single[1] : sign, range.from, range.to)
          },
        }),
        ...typedDashes(language),
        swap(/\.\.\.$/u, '…'),
        block(/^# $/, 'heading', { level: 1 }),
        block(/^## $/, 'heading', { level: 2 }),
        block(/^### $/, 'heading', { level: 3 }),
        ...(spacesSigns(language) ? [frenchSpace] : []),
        ...signs(this.editor.schema, language),
      ]
    },
  })

export const textExtensions = (book: string, language: string) => [
  ...coreNodes,
  ...coreMarks,
  blockIds(book),
  foldedNotes,
  focusBlock,
  shownSelection,
  typography(language),
  keys(language),
]
