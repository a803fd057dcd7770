/** Fields within fields that are followed. */
export const MOST_FIELDS = 40

/** What a field is, by its code: a link, contents, something of the old layout, or words. */
export function fieldKind(code: string): { kind: 'link' | 'contents' | 'drop' | 'plain'; href?: string } {
  const word = code.trim().split(/\s+/)[0]?.toUpperCase()
  if (word === 'TOC') return { kind: 'contents' }
  if (word === 'HYPERLINK') {
    const href = /HYPERLINK\s+"([^"]+)"/i.exec(code)?.[1]
    return href ? { kind: 'link', href } : { kind: 'plain' }
  }
  // Numbers of pages and the like are the old layout's; what a field quotes (REF, SEQ, DATE as typed) stays as text.
  if (word && ['PAGE', 'NUMPAGES', 'SECTION', 'SECTIONPAGES', 'PAGEREF', 'INDEX', 'XE', 'TC'].includes(word))
    return { kind: 'drop' }
  return { kind: 'plain' }
}
