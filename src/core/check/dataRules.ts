import { authorLine, brokenLinks, leftovers, picturesIn, signHabits, typedSigns } from '../book'
import type { AccessGap } from '../epub'
import { formatMoney } from '../trade'
import type { Finding } from './finding'
import type { Rule } from './pageRules'
import type { RemedyCode } from './remedies'

const inData = (field: string): Finding['place'] => ({ kind: 'data', field })

/** A title and an author. */
export const named: Rule = s => {
  const out: Finding[] = []
  if (!s.book.data.title.trim())
    out.push({
      rule: 'title',
      severity: 'stop',
      place: inData('title'),
      message: 'The book has no title.',
      remedy: 'enter the title',
    })
  if (!authorLine(s.book.data))
    out.push({
      rule: 'author',
      severity: 'stop',
      place: inData('contributors'),
      message: 'The book names no author.',
      remedy: 'enter the author',
    })
  return out
}

/** Title and subtitle are as short as the outlet takes. */
export const titleLength: Rule = s => {
  const { title, subtitle } = s.book.data
  const rules = s.profile.listing
  const both = title.length + (subtitle ? subtitle.length + 2 : 0)
  if (rules.titleAndSubtitle && both > rules.titleAndSubtitle)
    return [
      {
        rule: 'title length',
        severity: 'stop',
        place: inData('subtitle'),
        amount: `${both - rules.titleAndSubtitle} characters`,
        message: `Title and subtitle are ${both} characters together; ${s.profile.name} takes ${rules.titleAndSubtitle}.`,
        remedy: 'shorten the subtitle',
      },
    ]
  if (rules.title && title.length > rules.title)
    return [
      {
        rule: 'title length',
        severity: 'stop',
        place: inData('title'),
        amount: `${title.length - rules.title} characters`,
        message: `The title is ${title.length} characters; ${s.profile.name} takes ${rules.title}.`,
        remedy: 'shorten the title',
      },
    ]
  return []
}

/** The price is not below the least. */
export const price: Rule = s => {
  const p = s.print ?? s.ebook
  if (p?.price === undefined || p.leastPrice === undefined || p.price >= p.leastPrice) return []
  return [
    {
      rule: 'price',
      severity: 'stop',
      place: inData('price'),
      amount: formatMoney(p.leastPrice - p.price, s.profile.currency),
      message: `At ${formatMoney(p.price, s.profile.currency)} the book costs more than it brings; ${formatMoney(p.leastPrice, s.profile.currency)} is the least.`,
      remedy: 'raise the price',
      remedyValue: formatMoney(p.leastPrice, s.profile.currency),
    },
  ]
}

/** The ebook is as light as the outlet takes. */
export const weight: Rule = s => {
  const most = s.profile.ebook?.epubMb
  if (!s.ebook || !most || s.ebook.bytes <= most * 1e6) return []
  const over = s.ebook.bytes / 1e6 - most
  return [
    {
      rule: 'ebook weight',
      severity: 'stop',
      place: { kind: 'edition' },
      amount: `${over.toFixed(1)} MB`,
      message: `The ebook weighs ${(s.ebook.bytes / 1e6).toFixed(1)} MB; ${s.profile.name} takes ${most} MB.`,
      remedy: 'lighten the ebook',
    },
  ]
}

/** What of the author's goes into the ebook. */
export const ebookLeftOut: Rule = s =>
  (s.ebook?.leftOut ?? []).map(({ kind, where, why }) => ({
    rule: 'ebook files',
    severity: 'mend' as const,
    place: { kind: 'edition' as const },
    message:
      kind === 'sheet'
        ? `Your own style sheet is left out of the ebook for its ${where}: ${why}`
        : `${where}, which was made elsewhere, goes into the ebook without its words, which could not be read: ${why}`,
    remedy: kind === 'sheet' ? ('mend the sheet' as const) : ('make the page anew' as const),
  }))

/** What is said of each gap, and what mends it. Pictures without a description have a rule of their own, in print too. */
const GAPS: Record<
  Exclude<AccessGap['kind'], 'picture not described'>,
  { says: (words: string) => string; remedy: RemedyCode }
> = {
  'description is a file’s name': {
    says: w => `“${w}” says what a picture’s file is called, not what it shows.`,
    remedy: 'describe the picture',
  },
  'heading skips a level': {
    says: w => `The heading “${w}” skips a level: a voice reads it as if one were missing.`,
    remedy: 'raise the heading',
  },
  'table without a head': {
    says: w => `A table has no head, so that a voice cannot say what its columns hold (“${w}”).`,
    remedy: 'give the table a head',
  },
  'link without words': { says: () => 'A link has nothing that could be read aloud.', remedy: 'describe the picture' },
  'link says nothing': {
    says: w => `A link that says “${w}” does not say where it leads.`,
    remedy: 'say where it leads',
  },
  'recording not named': {
    says: () => 'A recording does not say what it is to readers who cannot see or hear it.',
    remedy: 'name the recording',
  },
  'recording not in words': {
    says: () => 'A recording is not put in words, for readers who cannot hear it.',
    remedy: 'put it in words',
  },
  'film without timed words': {
    says: () => 'A film speaks, and its words do not say when each is said, so that they cannot be read below it.',
    remedy: 'bring in timed words',
  },
  'film shows what is not said': {
    says: () => 'A film is not known to say what it shows, for readers who cannot see it.',
    remedy: 'say whether it is told',
  },
  'language not known': {
    says: () => 'The language of the book is none that a voice knows.',
    remedy: 'choose the language',
  },
}

/** The ebook keeps nobody out: it is sent all the same, and does not say then that it conforms. */
export const ebookAccess: Rule = s =>
  (s.ebook?.gaps ?? []).flatMap(({ kind, section, block, words = '' }) => {
    if (kind === 'picture not described') return []
    const { says, remedy } = GAPS[kind]
    return [
      {
        rule: 'accessible to all',
        severity: 'remark' as const,
        place: section ? { kind: 'text' as const, section, block } : inData('language'),
        message: says(words.trim().slice(0, 60)),
        remedy,
      },
    ]
  })

/** The front picture is of a size that the outlet takes. */
export const front: Rule = s => {
  const rules = s.profile.ebook
  const f = s.ebook?.front
  if (!rules || !f) return []
  const long = Math.max(f.width, f.height)
  const heavy = f.bytes !== undefined && rules.frontMb !== undefined && f.bytes > rules.frontMb * 1e6
  const weighs = ((f.bytes ?? 0) / 1e6).toFixed(1)
  const tooHeavy: Finding[] = heavy
    ? [
        {
          rule: 'front picture',
          severity: 'stop',
          place: { kind: 'cover', piece: 'front' },
          amount: `${weighs} MB`,
          message: `The front picture weighs ${weighs} MB; ${s.profile.name} takes ${rules.frontMb} MB.`,
          remedy: 'calm the front',
        },
      ]
    : []
  if (long >= rules.frontLeast && long <= rules.frontMost) return tooHeavy
  return [
    ...tooHeavy,
    {
      rule: 'front picture',
      severity: 'stop',
      place: { kind: 'cover', piece: 'front' },
      amount: `${long} px`,
      message: `The front is ${f.width} × ${f.height} pixels; ${s.profile.name} takes ${rules.frontLeast} to ${rules.frontMost} on the longer side.`,
      remedy: 'resize the front',
    },
  ]
}

/** Every picture of the text is described or marked as decoration. */
export const described: Rule = s => {
  const out: Finding[] = []
  for (const section of s.book.sections)
    for (const p of picturesIn(section))
      if (!p.decoration && !p.alt.trim())
        out.push({
          rule: 'picture description',
          severity: 'mend',
          place: { kind: 'text', section: section.id, block: p.block ?? '' },
          message: 'A picture has no description for readers who cannot see it.',
          remedy: 'describe the picture',
        })
  return out
}

/** Pictures that cannot be decoded: a marked box is printed in their place. */
export const soundPictures: Rule = s => {
  const damaged = new Map(s.book.assets.filter(a => a.damaged).map(a => [a.id, a.name ?? 'A picture']))
  const out: Finding[] = []
  for (const section of s.book.sections)
    for (const p of picturesIn(section)) {
      const name = damaged.get(p.asset)
      if (name)
        out.push({
          rule: 'damaged picture',
          severity: 'mend',
          place: { kind: 'text', section: section.id, block: p.block ?? '' },
          message: `${name} is damaged and cannot be printed: a marked box stands in its place.`,
          remedy: 'replace the picture',
        })
    }
  return out
}

/** Sections that have a place in the book but nothing in them. */
export const emptySections: Rule = s =>
  s.book.sections
    .filter(x => !x.made && x.role !== 'part' && x.doc.content.every(b => b.type === 'paragraph' && !b.content?.length))
    .map(x => ({
      rule: 'empty section',
      severity: 'mend' as const,
      place: { kind: 'text' as const, section: x.id, block: x.doc.content[0]?.attrs.id ?? '' },
      message: `${x.title ? `“${x.title}”` : 'A section'} has no text.`,
      remedy: 'write the section',
    }))

/** Quotes, dashes and the spaces before signs are the language's, not the typewriter's. */
export const signsAsTyped: Rule = s =>
  signHabits.flatMap(habit => {
    const found = s.book.sections
      .filter(x => !x.made)
      .map(x => ({ section: x.id, ...typedSigns(habit, x.doc, s.book.data.language) }))
      .filter(x => x.count)
    const count = found.reduce((n, x) => n + x.count, 0)
    if (!count) return []
    return [
      {
        rule: `typed ${habit.id}`,
        severity: 'remark' as const,
        place: { kind: 'text' as const, section: found[0]!.section, block: found[0]!.first ?? '' },
        amount: String(count),
        message: habit.says(count),
        remedy: 'turn the signs' as const,
      },
    ]
  })

/** Every link inside the book leads to something in it. */
export const innerLinksLead: Rule = s =>
  brokenLinks(s.book.sections).map(l => ({
    rule: 'links inside the book',
    severity: 'mend',
    place: { kind: 'text', section: l.section, block: l.block },
    message: `“${l.words.trim().slice(0, 60) || 'A link'}” leads to a place that is not in the book.`,
    remedy: 'mend the link',
  }))

/** Nothing of the book that this one was begun from is left in it. */
export const leftOfEarlier: Rule = s =>
  leftovers({ ...s.book, editions: s.print?.isbn ? [{ isbn: s.print.isbn }] : [] }).map(({ what, words, at }) => ({
    rule: 'left of the earlier book',
    severity: 'mend',
    place: 'section' in at ? { kind: 'text', ...at } : inData(at.field),
    message:
      what === 'year'
        ? `The year ${words} is that of “${s.book.earlier!.title}”, which this book was begun from.`
        : `“${words}” is the ${what === 'name' ? 'name of one who made' : `${what} of`} the book that this one was begun from.`,
    remedy: 'settle what is left',
  }))
