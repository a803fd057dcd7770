import type { TextStyle } from '../type'

/** A sentence in lines that are no wider than a room, but for a word that is wider by itself. */
export function wrapped(style: TextStyle, sentence: string, width: number): string[] {
  const lines = ['']
  for (const word of sentence.split(' ')) {
    const longer = lines.at(-1) ? `${lines.at(-1)} ${word}` : word
    if (lines.at(-1) && style.frag(longer).width > width) lines.push(word)
    else lines[lines.length - 1] = longer
  }
  return lines
}
