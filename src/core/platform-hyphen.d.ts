// The package ships no types; each language module has this shape.
declare module 'hyphen/*' {
  const language: { hyphenateSync(text: string, options: { hyphenChar: string }): string }
  export default language
}
