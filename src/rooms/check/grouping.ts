import { type Finding, remedyWords } from '@/core/check'

/** Findings of one cause: the same rule and remedy, at one or many places. */
export interface Cause {
  key: string
  rule: string
  severity: Finding['severity']
  remedy: string
  findings: Finding[]
}

/** Findings grouped by cause, those that stop first. */
export function causesOf(findings: Finding[]): Cause[] {
  const by = new Map<string, Cause>()
  for (const f of findings) {
    const key = `${f.severity}/${f.rule}/${f.remedy} ${f.remedyValue ?? ''}`
    const c = by.get(key)
    if (c) c.findings.push(f)
    else by.set(key, { key, rule: f.rule, severity: f.severity, remedy: remedyWords(f), findings: [f] })
  }
  return [...by.values()]
}

/** Where a click on a finding leads. */
export function causeLink(bookId: string, f: Finding): { href: string; words: string } {
  const book = `/book/${encodeURIComponent(bookId)}`
  const text = (section: string, block?: string): string =>
    `${book}/text?section=${encodeURIComponent(section)}${block ? `&block=${encodeURIComponent(block)}` : ''}`
  switch (f.place.kind) {
    case 'page':
      return f.place.section && f.place.block && f.place.block !== 'page'
        ? { href: text(f.place.section, f.place.block), words: 'To the text' }
        : { href: `${book}/interior?page=${f.place.page}`, words: 'To the page' }
    case 'text':
      return { href: text(f.place.section, f.place.block), words: 'To the text' }
    case 'cover':
      return { href: `${book}/cover?piece=${encodeURIComponent(f.place.piece)}`, words: 'To the cover' }
    case 'data':
      return ['slots', 'categories', 'rights', 'adults'].includes(f.place.field)
        ? { href: `${book}/listings`, words: 'To the listing' }
        : { href: `${book}/plan#${f.place.field}`, words: 'To the plan' }
    case 'edition':
      return {
        href: f.rule === 'specification' ? `${book}/plan` : `${book}/interior`,
        words: f.rule === 'specification' ? 'To the plan' : 'To the interior',
      }
  }
}

/** Where a finding is, in a few words. */
export function placeWords(f: Finding): string {
  switch (f.place.kind) {
    case 'page':
      return `page ${f.place.label}`
    case 'text':
      return 'in the text'
    case 'cover':
      return 'on the cover'
    case 'data':
      return 'in the data'
    case 'edition':
      return 'all over'
  }
}
