import { Extension } from '@tiptap/core'
import type { Node, ResolvedPos } from '@tiptap/pm/model'
import { type EditorState, Plugin, PluginKey } from '@tiptap/pm/state'
import { Decoration, DecorationSet } from '@tiptap/pm/view'

/** Where the note begins that a position stands in. */
function noteAround($pos: ResolvedPos): number | undefined {
  for (let d = $pos.depth; d > 0; d--) if ($pos.node(d).type.name === 'footnote') return $pos.before(d)
  return undefined
}

/** Notes that the selection begins or ends in, by where they begin. */
export function openNotes({ selection: { $from, $to } }: Pick<EditorState, 'selection'>): Set<number> {
  return new Set([noteAround($from), noteAround($to)].flatMap(at => at ?? []))
}

/** In the line a note is its number, its words stand beside the line; only one that the cursor is in is open. */
export const foldedNotes = Extension.create({
  name: 'foldedNotes',
  addProseMirrorPlugins: () => [
    new Plugin({
      key: new PluginKey('foldedNotes'),
      props: {
        decorations: state => {
          const open = [...openNotes(state)]
          if (!open.length) return DecorationSet.empty
          const end = (at: number): number => at + (state.doc.nodeAt(at) as Node).nodeSize
          return DecorationSet.create(
            state.doc,
            open.map(at => Decoration.node(at, end(at), { class: 'open' })),
          )
        },
      },
    }),
  ],
})
