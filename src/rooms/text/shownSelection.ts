import { Extension } from '@tiptap/core'
import { Plugin, PluginKey, TextSelection } from '@tiptap/pm/state'
import { Decoration, DecorationSet } from '@tiptap/pm/view'

/** Milliseconds from the focus until the editor knows where it was clicked. */
const AFTER_THE_CLICK = 60

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
          // A click that brings the focus has set the caret, and the editor is told of it a moment later: until then nothing is drawn.
          focus: view =>
            void setTimeout(
              () => !view.isDestroyed && view.dispatch(view.state.tr.setMeta(key, false)),
              AFTER_THE_CLICK,
            ),
        },
      },
    }),
  ],
})
