import { authorLine, type Book, type Edition, type ListingDraft } from '../book'
import type { Finding, RemedyCode } from '../check'
import { KEYWORDS_APART, stem, wordsOf } from '../market'
import type { OutletProfile } from '../trade'
import { keywordRoom } from './keywords'

/** A part of a text that breaks a rule: offsets in characters. */
export interface Marked {
  from: number
  to: number
  rule: string
}

const claims =
  /\b(best ?sell(?:er|ing)|award[- ]winning|free|cheap|discount|number one|no\. ?1|#1|new release|on sale|top rated)\b/giu
const stopWords = new Set('the a an of and or in on at to for with by from as is it its this that'.split(' '))

/** The words that count in a slot. */
export const stemsOf = (text: string): string[] => wordsOf(text).filter(w => !stopWords.has(w))

/** What breaks a rule in one keyword slot, as one types. */
export function slotProblems(
  slot: string,
  others: string[],
  book: Book,
  profile: OutletProfile,
): { message: string; marked: Marked[] }[] {
  const out: { message: string; marked: Marked[] }[] = []
  const rules = profile.listing.keywordSlots
  if (rules && slot.length > rules.characters)
    out.push({
      message: `${slot.length} characters; ${profile.name} takes ${rules.characters}.`,
      marked: [{ from: rules.characters, to: slot.length, rule: 'length' }],
    })
  const quotes = [...slot.matchAll(/["“”]/g)].map(m => ({ from: m.index, to: m.index + 1, rule: 'quotation marks' }))
  if (quotes.length) out.push({ message: 'No quotation marks in slots.', marked: quotes })
  const claimed = [...slot.matchAll(claims)].map(m => ({ from: m.index, to: m.index + m[0].length, rule: 'claim' }))
  if (claimed.length)
    out.push({
      message: 'No claims or prices: readers do not search for them, and outlets refuse them.',
      marked: claimed,
    })
  const title = new Set(stemsOf(`${book.data.title} ${book.data.subtitle ?? ''}`))
  const author = new Set(stemsOf(authorLine(book.data)))
  const said = new Set(others.flatMap(stemsOf))
  const doubled: Marked[] = []
  for (const m of slot.matchAll(/[\p{L}\p{N}]+/gu)) {
    const s = stem(m[0])
    if (title.has(s) || author.has(s) || (said.has(s) && !stopWords.has(s)))
      doubled.push({ from: m.index, to: m.index + m[0].length, rule: 'said already' })
  }
  if (doubled.length)
    out.push({
      message: `${doubled.map(d => `“${slot.slice(d.from, d.to)}”`).join(', ')}: title, author or another slot says it already.`,
      marked: doubled,
    })
  return out
}

const inData = (field: string): Finding['place'] => ({ kind: 'data', field })

/** The outlet's rules for the words of a listing, and what must be stated before it is sent. */
export function listingFindings(book: Book, edition: Edition, draft: ListingDraft, profile: OutletProfile): Finding[] {
  const out: Finding[] = []
  const { data } = book
  const rules = profile.listing
  const add = (
    rule: string,
    severity: Finding['severity'],
    field: string,
    message: string,
    remedy: RemedyCode,
    amount?: string,
  ): void => void out.push({ rule, severity, place: inData(field), message, remedy, ...(amount ? { amount } : {}) })
  if (edition.prices?.[profile.currency] === undefined)
    add('price', 'stop', 'price', 'No price is set.', 'enter the price')
  if (rules.description !== undefined) {
    const length = data.description?.length ?? 0
    if (!length)
      add('description', 'stop', 'description', `${profile.name} wants a description.`, 'write the description')
    else if (length > rules.description)
      add(
        'description',
        'stop',
        'description',
        `The description is ${length} characters; ${profile.name} takes ${rules.description}.`,
        'shorten it',
        `${length - rules.description} characters`,
      )
    if (/https?:|www\.|@\w+\./i.test(data.description ?? ''))
      add(
        'description',
        'stop',
        'description',
        'The description holds an address: outlets refuse contact data.',
        'take the address out',
      )
  }
  const slots = (draft.slots ?? []).filter(s => s.trim())
  if (rules.keywordSlots) {
    if (slots.length > rules.keywordSlots.count)
      add(
        'slots',
        'stop',
        'slots',
        `${slots.length} slots are filled; ${profile.name} has ${rules.keywordSlots.count}.`,
        'take some out',
      )
  }
  if (keywordRoom(profile)) {
    slots.forEach((slot, i) => {
      for (const p of slotProblems(
        slot,
        slots.filter((_, j) => j !== i),
        book,
        profile,
      ))
        add(
          'slots',
          p.marked.some(m => m.rule !== 'said already') ? 'stop' : 'mend',
          'slots',
          `Slot ${i + 1}: ${p.message}`,
          'change the marked words',
        )
    })
    if (!slots.length)
      add('slots', 'remark', 'slots', 'No slot is filled: the title alone has to be found.', 'fill a slot')
  }
  if (rules.keywordCharacters) {
    const all = slots.join(KEYWORDS_APART).length
    if (all > rules.keywordCharacters)
      add(
        'keywords',
        'stop',
        'slots',
        `The keywords are ${all} characters; ${profile.name} takes ${rules.keywordCharacters}.`,
        'take some out',
      )
  }
  if (rules.keywordCount && slots.length > rules.keywordCount)
    add(
      'keywords',
      'stop',
      'slots',
      `${slots.length} keywords; ${profile.name} takes ${rules.keywordCount}.`,
      'take some out',
    )
  if (rules.categories) {
    const n = draft.categories?.length ?? 0
    if (n < rules.categories.least)
      add(
        'categories',
        'stop',
        'categories',
        `${profile.name} wants ${rules.categories.least === 1 ? 'a category' : `${rules.categories.least} categories`}.`,
        'choose categories',
      )
    if (n > rules.categories.most)
      add(
        'categories',
        'stop',
        'categories',
        `${n} categories; ${profile.name} takes ${rules.categories.most}.`,
        'take some out',
      )
    const few = rules.lowContentCategories
    if (draft.lowContent && few !== undefined && n > few)
      add(
        'categories',
        'stop',
        'categories',
        `${profile.name} gives a low-content book ${few === 1 ? 'one category' : `${few} categories`}.`,
        few === 1 ? 'keep one category' : 'keep fewer categories',
      )
  }
  if (draft.adult && rules.adults === 'refused')
    add('adults only', 'stop', 'adults', `${profile.name} takes no books for adults only.`, 'go elsewhere')
  if (draft.adult && rules.adults === 'apart')
    add(
      'adults only',
      'remark',
      'adults',
      `${profile.name} shows books for adults only to those who ask for them.`,
      'nothing wanted',
    )
  if (!draft.rights) add('rights', 'stop', 'rights', 'The rights are not stated.', 'state the rights')
  return out
}

/** Categories an outlet offers: its own tree, or Thema subjects (EDItEUR's open scheme, a small part of it). */
export const categoryTrees: Record<'own' | 'thema', string[]> = {
  own: [
    'Fiction / Mystery / Amateur sleuths',
    'Fiction / Mystery / Historical',
    'Fiction / Sea stories',
    'Fiction / Small towns',
    'Fiction / Sagas',
    'Fiction / Romance / Gentle',
    'Fiction / Ghost stories',
    'Fiction / Short stories',
    'Hobbies / Beekeeping',
    'Hobbies / Gardening',
    'Hobbies / Birds',
    'Hobbies / Craft',
    'Games / Word puzzles',
    'Games / Number puzzles',
    'Games / Mazes',
    'Blank books / Lined',
    'Blank books / Logbooks',
    'Blank books / Planners',
    'Cookery / Baking',
    'Travel / Coasts',
    'Self-help / Quiet',
    'Reference / Almanacs',
  ],
  thema: [
    'FB Fiction: general',
    'FF Crime and mystery',
    'FFJ Crime: cosy mystery',
    'FFH Crime: historical',
    'FRD Romance: contemporary',
    'FV Historical fiction',
    'FYB Short stories',
    'WB Cookery',
    'WDK Puzzles and quizzes',
    'WDKC Crosswords',
    'WDKN Number puzzles',
    'WF Handicrafts',
    'WM Gardening',
    'WN Nature',
    'WT Travel',
    'WZS Stationery',
  ],
}
