import type MarkdownIt from 'markdown-it'

type Parser = InstanceType<typeof MarkdownIt>
type StateCore = Parameters<Parameters<Parser['core']['ruler']['push']>[1]>[0]
type Token = StateCore['tokens'][number]

/** What the footnote rules gather: where a label is called from (-1: nowhere), and the notes in the order of their first calls. */
interface Footnotes {
  refs?: Record<string, number>
  list?: { label?: string; content?: string; tokens?: Token[] }[]
}

/**
 * Puts the notes behind the text, each between `footnote_open` and `footnote_close`, in one pass: the plugin's own rule copies all
 * tokens for each note. A note that nothing calls, or whose label another note has already, stays where it is, as text; `kept`
 * hears of its label.
 */
export function notesBehind(md: Parser, kept: (label: string) => void): void {
  md.core.ruler.at('footnote_tail', state => {
    const { refs, list = [] } = (state.env as { footnotes?: Footnotes }).footnotes ?? {}
    if (!refs && !list.length) return
    const texts = new Map<string, Token[]>()
    const text: Token[] = []
    let into = text
    for (const t of state.tokens) {
      if (t.type === 'footnote_reference_open') {
        const { label } = t.meta as { label: string }
        if ((refs?.[`:${label}`] ?? -1) >= 0 && !texts.has(label)) texts.set(label, (into = []))
        else kept(label)
      } else if (t.type === 'footnote_reference_close') into = text
      else into.push(t)
    }
    const around = (type: string, nesting: 1 | -1, id?: number): Token =>
      Object.assign(new state.Token(type, '', nesting), id === undefined ? {} : { meta: { id } })
    text.push(around('footnote_block_open', 1))
    list.forEach((note, id) => {
      text.push(around('footnote_open', 1, id))
      if (note.tokens)
        text.push(
          Object.assign(new state.Token('inline', '', 0), { children: note.tokens, content: note.content ?? '' }),
        )
      for (const t of texts.get(note.label ?? '') ?? []) text.push(t)
      text.push(around('footnote_close', -1, id))
    })
    text.push(around('footnote_block_close', -1))
    state.tokens = text
  })
}
