import { authorLine, type TextPiece, type TitleData } from '../../book'

/** What a piece of words says on the cover: a field of the book, or its own. */
export function wordsOf(data: TitleData, { field, words }: Pick<TextPiece, 'field' | 'words'>): string {
  switch (field) {
    case 'own':
      return words ?? ''
    case 'title':
      return data.title
    case 'subtitle':
      return data.subtitle ?? ''
    case 'author':
      return authorLine(data)
    case 'series':
      return data.series ? (data.series.number ? `${data.series.name} · ${data.series.number}` : data.series.name) : ''
    case 'imprint':
      return data.imprint.name
    case 'description':
      return data.description ?? ''
    case 'quotes':
      return (data.quotes ?? []).map(quoteLines).join('\n')
  }
}

/** Who says something stands on a line of their own below it. */
function quoteLines(quote: string): string {
  const [, words, who] = /^(.*\S)\s*[—–]\s*([^—–]+)$/su.exec(quote.trim()) ?? []
  return words && who ? `${words}\n${SAID_BY}${who.trim()}` : quote.trim()
}

/** What a line begins with that says who said the line above. */
export const SAID_BY = '— '
