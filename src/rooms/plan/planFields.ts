import { number, string } from 'yup'
import { derivedSortName } from '@/core/book'
import { formatIsbn, parseIsbn } from '@/core/trade'
import type { TextField } from '@/parts/useTaken'

const sentence = (check: () => void): string | undefined => {
  try {
    check()
    return undefined
  } catch (e) {
    return (e as Error).message
  }
}

const plain = (label: string, most: number, required = false, hint?: string): TextField<string> => {
  const schema = string().trim().max(most, `${label} takes at most ${most} characters.`)
  return {
    label,
    hint,
    problem: t => sentence(() => (required ? schema.required(`${label} cannot be empty.`) : schema).validateSync(t)),
    read: t => t.trim() || undefined,
    show: v => v ?? '',
  }
}

export const titleField = plain('Title', 200, true)
export const subtitleField = plain('Subtitle', 300)
export const authorField = plain('Author', 120, false, 'As it stands on the cover')
export const otherField = plain('Name', 120)
export const seriesField = plain('Series', 120)
export const imprintField = plain('Imprint', 120, false, 'On title page and back')
export const placeField = plain('Place', 80)
/** What is said of the book, a line each. */
export const quotesField: TextField<string[]> = {
  label: 'What is said of it',
  hint: 'For the back of the cover: a line each, who says it behind a dash',
  problem: t => {
    const lines = t.split('\n').filter(l => l.trim())
    if (lines.length > 100) return 'A hundred of them are taken at most.'
    return lines.some(l => l.trim().length > 2000) ? 'One of them takes at most 2,000 characters.' : undefined
  },
  read: t => {
    const lines = t
      .split('\n')
      .map(l => l.trim())
      .filter(Boolean)
    return lines.length ? lines : undefined
  },
  show: v => (v ?? []).join('\n'),
}
export const descriptionField = plain('Description', 3200, false, 'On the back of the cover and in the listing')

/** How an author sorts; where nothing is said, as names of persons do. */
export function sortNameFieldOf(name: string): TextField<string> {
  const derived = derivedSortName(name)
  return plain(
    'Sorts as',
    300,
    false,
    derived ? `In catalogues: as “${derived}”, unless it is said` : 'In catalogues: family name first',
  )
}
export const rightsField = plain('Rights', 4000, false, 'In place of “Copyright ©” and the year')
export const siteField = plain('Site of the imprint', 500, false, 'On the copyright page')

/** Words of a list, a comma between them. */
export const subjectsField: TextField<string[]> = {
  label: 'Subjects',
  hint: 'In the ebook’s own data; a comma between them',
  problem: t =>
    sentence(() =>
      string()
        .max(4000, 'Subjects take at most 4000 characters.')
        .test('each', 'A subject takes at most 300 characters.', v => split(v ?? '').every(s => s.length <= 300))
        .validateSync(t),
    ),
  read: t => split(t),
  show: v => (v ?? []).join(', '),
}
const split = (t: string): string[] =>
  t
    .split(',')
    .map(s => s.trim())
    .filter(Boolean)

/** A whole number within limits. */
const whole = (label: string, least: number, most: number): TextField<number> => {
  const schema = number()
    .integer(`${label} is a whole number.`)
    .min(least, `${label} is at least ${least}.`)
    .max(most, `${label} is at most ${most}.`)
    .typeError(`${label} is a number.`)
  return {
    label,
    problem: t => (t.trim() ? sentence(() => schema.validateSync(t)) : undefined),
    read: t => (t.trim() ? Number(t) : undefined),
    show: v => (v === undefined ? '' : String(v)),
  }
}
export const seriesNumberField = whole('Number', 1, 999)
export const yearField = whole('Year', 1450, 2200)

export const isbnField: TextField<string> = {
  label: 'ISBN',
  hint: 'Thirteen figures, or ten',
  problem: t => (t.trim() && !parseIsbn(t) ? 'This is no ISBN: its check figure is wrong.' : undefined),
  read: t => parseIsbn(t),
  show: v => (v ? formatIsbn(v) : ''),
}
