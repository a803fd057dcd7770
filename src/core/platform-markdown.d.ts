// markdown-it's plugins ship no types; both are used as plugins only.
declare module 'markdown-it-footnote' {
  import type MarkdownIt from 'markdown-it'
  const plugin: (md: MarkdownIt) => void
  export default plugin
}
declare module 'markdown-it-container' {
  import type MarkdownIt from 'markdown-it'
  const plugin: (md: MarkdownIt, name: string, options?: object) => void
  export default plugin
}
