/** Words as they are compared: a plural like its singular. */
export const stem = (w: string): string =>
  w
    .toLowerCase()
    .replace(/[’']s$/, '')
    .replace(/(?<=\p{L}{3})ies$/u, 'y')
    .replace(/(?<=(?:ss|x|ch|sh))es$/u, '')
    .replace(/(?<=\p{L}{2}[^s])s$/u, '')
export const wordsOf = (text: string): string[] =>
  [...text.toLowerCase().matchAll(/[\p{L}\p{N}]+/gu)].map(m => stem(m[0]))
