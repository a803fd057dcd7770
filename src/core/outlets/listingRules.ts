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

/** What a rule over a listing looks at. */
interface Said {
  book: Book
  edition: Edition
  draft: ListingDraft
  profile: OutletProfile
  /** The slots that hold something. */
  slots: string[]
}
type ListingRule = (s: Said) => Finding[]

/** What is found at a field of the listing. */
const found = (
  rule: string,
  severity: Finding['severity'],
  field: string,
  said: Pick<Finding, 'message' | 'amount'> & { remedy: RemedyCode },
): Finding => ({ rule, severity, place: { kind: 'data', field }, ...said })

const priced: ListingRule = ({ edition, profile }) =>
  edition.prices?.[profile.currency] === undefined
    ? [found('price', 'stop', 'price', { message: 'No price is set.', remedy: 'enter the price' })]
    : []

const described: ListingRule = ({ book: { data }, profile }) => {
  const most = profile.listing.description
  if (most === undefined) return []
  const text = data.description ?? ''
  const say = (message: string, remedy: RemedyCode, amount?: string): Finding =>
    found('description', 'stop', 'description', { message, remedy, ...(amount ? { amount } : {}) })
  return [
    ...(text ? [] : [say(`${profile.name} wants a description.`, 'write the description')]),
    ...(text.length > most
      ? [
          say(
            `The description is ${text.length} characters; ${profile.name} takes ${most}.`,
            'shorten it',
            `${text.length - most} characters`,
          ),
        ]
      : []),
    ...(/https?:|www\.|@\w+\./i.test(text)
      ? [say('The description holds an address: outlets refuse contact data.', 'take the address out')]
      : []),
  ]
}

const slotsFit: ListingRule = ({ slots, profile }) => {
  const { keywordSlots, keywordCharacters, keywordCount } = profile.listing
  const say = (rule: string, message: string): Finding =>
    found(rule, 'stop', 'slots', { message, remedy: 'take some out' })
  const all = slots.join(KEYWORDS_APART).length
  return [
    ...(keywordSlots && slots.length > keywordSlots.count
      ? [say('slots', `${slots.length} slots are filled; ${profile.name} has ${keywordSlots.count}.`)]
      : []),
    ...(keywordCharacters && all > keywordCharacters
      ? [say('keywords', `The keywords are ${all} characters; ${profile.name} takes ${keywordCharacters}.`)]
      : []),
    ...(keywordCount && slots.length > keywordCount
      ? [say('keywords', `${slots.length} keywords; ${profile.name} takes ${keywordCount}.`)]
      : []),
  ]
}

const slotsSay: ListingRule = ({ slots, book, profile }) => {
  if (!keywordRoom(profile)) return []
  if (!slots.length)
    return [
      found('slots', 'remark', 'slots', {
        message: 'No slot is filled: the title alone has to be found.',
        remedy: 'fill a slot',
      }),
    ]
  return slots.flatMap((slot, i) =>
    slotProblems(
      slot,
      slots.filter((_, j) => j !== i),
      book,
      profile,
    ).map(p => {
      const stops = p.marked.some(m => m.rule !== 'said already')
      const message = `Slot ${i + 1}: ${p.message}`
      return found('slots', stops ? 'stop' : 'mend', 'slots', { message, remedy: 'change the marked words' })
    }),
  )
}

const categories: ListingRule = ({ draft, profile }) => {
  const { categories: rules, lowContentCategories: few } = profile.listing
  if (!rules) return []
  const n = draft.categories?.length ?? 0
  const say = (message: string, remedy: RemedyCode): Finding =>
    found('categories', 'stop', 'categories', { message, remedy })
  const some = (count: number): string => (count === 1 ? 'one category' : `${count} categories`)
  return [
    ...(n < rules.least
      ? [say(`${profile.name} wants ${rules.least === 1 ? 'a category' : some(rules.least)}.`, 'choose categories')]
      : []),
    ...(n > rules.most ? [say(`${n} categories; ${profile.name} takes ${rules.most}.`, 'take some out')] : []),
    ...(draft.lowContent && few !== undefined && n > few
      ? [
          say(
            `${profile.name} gives a low-content book ${some(few)}.`,
            few === 1 ? 'keep one category' : 'keep fewer categories',
          ),
        ]
      : []),
  ]
}

const adultsOnly: ListingRule = ({ draft, profile }) => {
  if (!draft.adult) return []
  switch (profile.listing.adults) {
    case 'refused':
      return [
        found('adults only', 'stop', 'adults', {
          message: `${profile.name} takes no books for adults only.`,
          remedy: 'go elsewhere',
        }),
      ]
    case 'apart': {
      const message = `${profile.name} shows books for adults only to those who ask for them.`
      return [found('adults only', 'remark', 'adults', { message, remedy: 'nothing wanted' })]
    }
    default:
      return []
  }
}

const rightsStated: ListingRule = ({ draft }) =>
  draft.rights
    ? []
    : [found('rights', 'stop', 'rights', { message: 'The rights are not stated.', remedy: 'state the rights' })]

const listingRules: ListingRule[] = [priced, described, slotsFit, slotsSay, categories, adultsOnly, rightsStated]

/** The outlet's rules for the words of a listing, and what must be stated before it is sent. */
export function listingFindings(book: Book, edition: Edition, draft: ListingDraft, profile: OutletProfile): Finding[] {
  const said = { book, edition, draft, profile, slots: (draft.slots ?? []).filter(s => s.trim()) }
  return listingRules.flatMap(rule => rule(said))
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
