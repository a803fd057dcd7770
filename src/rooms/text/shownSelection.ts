import { Extension } from '@tiptap/core'
import { Plugin, PluginKey, TextSelection } from '@tiptap/pm/state'
import { Decoration, DecorationSet } from '@tiptap/pm/view'

const key = new PluginKey<boolean>('shownSelection')

/** Chosen words are seen to be chosen while a sentence about them has the focus. */
export const shownSelection = Extension.create({
  name: 'shownSelection',
  addProseMirrorPlugins: () => [
    new Plugin<boolean>({
      key,
      // Whether the focus is elsewhere.
      state: { init: () => false, apply: (tr, away) => (tr.getMeta(key) as boolean | undefined) ?? away },
      props: {
        decorations: state => {
          const { selection } = state
          if (!key.getState(state) || selection.empty || !(selection instanceof TextSelection)) return null
          return DecorationSet.create(state.doc, [Decoration.inline(selection.from, selection.to, { class: 'chosen' })])
        },
        handleDOMEvents: {
          blur: view => void view.dispatch(view.state.tr.setMeta(key, true)),
          focus: view => void view.dispatch(view.state.tr.setMeta(key, false)),
        },
      },
    }),
  ],
})
