import { type Command, Plugin } from '@tiptap/pm/state'

/**
 * In tables and lists the tabulator is the text's own; behind Escape it leads on again, so that nobody is held in the text (WCAG 2.2,
 * 2.1.2). Whatever else is pressed makes it the text's once more. The plugin goes before the keys; `stays` is a command of theirs.
 */
export function leaving(): { plugin: Plugin; stays: (command: Command) => Command } {
  let leaves = false
  return {
    plugin: new Plugin({
      props: {
        handleKeyDown: (_view, { key }) => {
          if (key !== 'Tab' && key !== 'Shift') leaves = key === 'Escape'
          return false
        },
        handleDOMEvents: {
          blur: () => {
            leaves = false
            return false
          },
        },
      },
    }),
    stays:
      command =>
      (...at) =>
        !leaves && command(...at),
  }
}
