/**
 * An address a book may carry: the web, mail, a telephone number, a place in the book itself. Anything else (script, data,
 * local files) is refused: books are opened by programs that we do not know.
 */
export function safeHref(href: string): string | undefined {
  const t = href.trim()
  if (t.startsWith('#')) return t
  // Browsers pass over control characters and spaces inside a scheme: so do we before judging it.
  const scheme = /^([a-z][a-z0-9+.-]*):/i.exec([...t].filter(c => c > ' ').join(''))?.[1]?.toLowerCase()
  return !scheme ? t || undefined : ['http', 'https', 'mailto', 'tel'].includes(scheme) ? t : undefined
}
