declare module 'naughty-words' {
  /** Words by language. */
  const lists: Record<string, string[]>
  export default lists
}
