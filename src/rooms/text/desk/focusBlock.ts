import { Extension } from '@tiptap/core'
import { Plugin, PluginKey } from '@tiptap/pm/state'
import { Decoration, DecorationSet } from '@tiptap/pm/view'

/** Names the block that the cursor is in, so that a desk that shows it alone can. */
export const focusBlock = Extension.create({
  name: 'focusBlock',
  addProseMirrorPlugins: () => [
    new Plugin({
      key: new PluginKey('focusBlock'),
      props: {
        decorations: ({ doc, selection: { $from, $to } }) => {
          if (!$from.depth) return DecorationSet.empty
          const from = $from.before(1)
          const to = $to.depth ? $to.after(1) : $from.after(1)
          const named: Decoration[] = []
          doc.forEach((node, pos) => {
            if (pos >= from && pos < to) named.push(Decoration.node(pos, pos + node.nodeSize, { class: 'written' }))
          })
          return DecorationSet.create(doc, named)
        },
      },
    }),
  ],
})
