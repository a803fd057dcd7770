import { properties } from '../../publication'
import type { EpubFinding, EpubRule } from './finding'
import { type EbookText, XHTML } from './view'

/** Texts that are read, not what only leads through them. */
const pagesOf = (view: Parameters<EpubRule>[0]): EbookText[] =>
  view.epub.items.flatMap(i => (i.type === XHTML ? (view.texts.get(i.path) ?? []) : []))

/** WCAG 1.1.1. */
const pictures: EpubRule = view =>
  pagesOf(view).flatMap(({ path, elements }) =>
    elements.flatMap(({ name, attrs, line }): EpubFinding[] => {
      if (name !== 'img' || attrs.role === 'presentation' || attrs.alt?.trim()) return []
      const said = attrs.alt !== undefined
      return [
        {
          rule: 'picture description',
          severity: said ? 'remark' : 'mend',
          place: { file: path, line },
          message: said ? 'A picture is marked as decoration.' : 'A picture is not described.',
          remedy: 'Describe it in a sentence, or leave it as decoration on purpose.',
        },
      ]
    }),
  )

/** WCAG 3.1.1. */
const languages: EpubRule = view =>
  pagesOf(view).flatMap(({ path, elements, fault }) => {
    const root = elements[0]
    return fault || !root || root.attrs['xml:lang'] || root.attrs.lang
      ? []
      : [
          {
            rule: 'language',
            severity: 'mend' as const,
            place: { file: path, line: root.line },
            message: 'This page does not say its language: a voice guesses.',
            remedy: 'State it at the page’s root.',
          },
        ]
  })

/** WCAG 1.3.1: headings do not skip a level on their way down. */
const headings: EpubRule = view =>
  pagesOf(view).flatMap(({ path, elements }) => {
    let above: number | undefined
    return elements.flatMap(({ name, line, words }): EpubFinding[] => {
      const level = /^h([1-6])$/.exec(name)?.[1]
      if (!level) return []
      const skips = above !== undefined && Number(level) > above + 1
      above = Number(level)
      return skips
        ? [
            {
              rule: 'heading order',
              severity: 'mend',
              place: { file: path, line },
              message: `“${words.trim().slice(0, 60)}” skips a level of headings.`,
              remedy: 'Make it a heading of the next level.',
            },
          ]
        : []
    })
  })

/** WCAG 2.4.4. */
const linkWords: EpubRule = view =>
  pagesOf(view).flatMap(({ path, elements }) =>
    elements.flatMap(({ name, attrs, line, words }, i): EpubFinding[] => {
      const shows = ['img', 'svg', 'image'].includes(elements[i + 1]?.name ?? '')
      return name === 'a' && attrs.href && !words.trim() && !shows && !attrs['aria-label']
        ? [
            {
              rule: 'link without words',
              severity: 'mend',
              place: { file: path, line },
              message: 'A link has no words: who cannot see it does not find it.',
              remedy: 'Give it words, or take it away.',
            },
          ]
        : []
    }),
  )

/** What the file says of how it can be read; whether it says that it conforms where it does not. */
const stated: EpubRule = (view, outlet) => {
  const { epub } = view
  const place = { file: epub.root }
  const out: EpubFinding[] = []
  if (!properties(epub, 'schema:accessMode').length)
    out.push({
      rule: 'accessibility metadata',
      severity: 'mend',
      place,
      message: 'The package does not say how the book can be read.',
      remedy: 'State its access modes, features and hazards.',
    })
  const claims = [...properties(epub, 'dcterms:conformsTo'), ...epub.metadata.map(m => m.attrs.href ?? '')]
  const gaps = [pictures, languages, headings, linkWords]
    .flatMap(r => r(view, outlet))
    .filter(f => f.severity !== 'remark')
  if (gaps.length && claims.some(c => /WCAG/i.test(c)))
    out.push({
      rule: 'accessibility claim',
      severity: 'mend',
      place,
      message: `It says that it conforms, and ${gaps.length === 1 ? 'one place does' : `${gaps.length} places do`} not.`,
      remedy: 'Mend them, or take the claim out.',
    })
  return out
}

export const access: EpubRule[] = [pictures, languages, headings, linkWords, stated]
