/** What the kinds of editions are called. */
export const kindWords: Record<string, string> = {
  paperback: 'Paperback',
  case: 'Case',
  coil: 'Coil',
  saddle: 'Booklet',
  ebook: 'Ebook',
}
