// The package ships no types; each language module has this shape (and more that is not used here).
declare module 'hyphen/*' {
  const language: {
    patterns: [number[][], { [letter: string]: never }, Record<string, number[]>?]
    hyphenateSync(text: string, options: { hyphenChar: string }): string
  }
  export default language
}
