import { lazy, mixed, object, type Schema, ValidationError } from 'yup'
import { type Book, MOST_DEPTH, MOST_NAME, type Role, roles, uidForm } from '../book'
import { isStyleChange, readStyleDocument, shippedStyles } from '../pages'
import { dayOf, designSchema, groundSchema, kindOf, pageLooks, runKinds } from '../activity'
import { recordingTypes } from '../files'
import { fields, once, type OutletProfile, parseTrim, strangeKey } from '../trade'
import { ownFamilyForm } from '../type'
import { coverSchema, wrapSchema } from './coverSchema'

const { amount, like, list, one, optional, shape, text, whole, yesNo } = fields

/**
 * The one schema of a book that comes in, from a file or from the store: shapes, ranges, lengths, no unknown keys. What stands in
 * other places of the book or outside of it (outlets, papers, styles, pictures) is checked in `references`.
 */
const HASH = /^[0-9a-f]{64}$/
/** Ids become names of files and addresses. */
export const idForm = /^[a-z0-9][a-z0-9-]{0,59}$/
const sectionIdForm = /^[A-Za-z][A-Za-z0-9]{0,23}$/

/** An object with keys of its own. */
const record = (key: RegExp, words: string, value: (key: string) => Schema, most: number) =>
  lazy((v: unknown) => {
    if (v === undefined) return mixed().optional()
    if (!v || typeof v !== 'object' || Array.isArray(v))
      return mixed().test('record', '${path} is no list of names and values', () => false)
    const keys = Object.keys(v)
    const wrong = keys.find(k => !key.test(k))
    if (wrong !== undefined) return mixed().test('key', `\${path} has “${wrong.slice(0, 40)}”, ${words}`, () => false)
    if (keys.length > most) return mixed().test('many', `\${path} has more than ${most} entries`, () => false)
    return object(Object.fromEntries(keys.map(k => [k, value(k)]))).strict()
  })

const dataSchema = () =>
  shape({
    title: text(500).defined(),
    subtitle: text(500),
    series: optional(shape({ name: text(300).defined(), number: amount(0, 99999) })),
    contributors: list(
      shape({
        name: text(300).defined(),
        sortName: text(300),
        role: like(/^[a-z]{3}$/, 'wants three small letters, as MARC has them').required(),
      }),
      200,
    ).required(),
    language: like(/^[A-Za-z]{2,3}(-[A-Za-z0-9]{1,8})*$/, 'wants a language tag such as “en-GB”').required(),
    imprint: shape({
      name: text(300).defined(),
      place: text(300),
      site: text(500),
      logo: text(64),
      kept: like(idForm, 'wants small letters, figures and hyphens'),
    }).required(),
    year: whole(0, 9999),
    rights: text(4000),
    description: text(40_000),
    quotes: list(text(2000).defined(), 100),
    subjects: list(text(300).defined(), 200).required(),
  })

const sectionSchema = () =>
  shape({
    id: like(sectionIdForm, 'wants letters and figures').required(),
    part: one('front', 'body', 'back').required(),
    role: one(...(Object.keys(roles) as Role[])).required(),
    title: text(2000).defined(),
    subtitle: text(2000),
    numbered: yesNo().required(),
    made: yesNo().required(),
    anew: yesNo(),
    unlisted: yesNo(),
    depth: whole(0, MOST_DEPTH),
    omits: list(text(100).defined(), 10_000),
    unprinted: yesNo(),
    matter: optional(
      shape({ id: like(idForm, 'wants small letters, figures and hyphens').required(), said: text(40).required() }),
    ),
    picture: optional(
      shape({ asset: text(64).required(), alt: text(10_000).defined(), decoration: yesNo().required() }),
    ),
    evidence: list(text(600).defined(), 100),
    doc: mixed(),
  })

const styleChange = (key: string): Schema =>
  mixed().test('change', `\${path} is nothing that a style has, or is out of its range`, v => isStyleChange(key, v))
/** Departures from a style, by path. */
export const styleChanges = record(/^[a-z]+\.[A-Za-z]+$/, 'which is nothing that a style has', styleChange, 200)

/** A likeness or a weight, one of the two. */
const lightWish = () =>
  optional(
    shape({ likeness: amount(0.5, 1), weight: whole(1, 1e10), across: whole(100, 20_000) }).test(
      'one-wish',
      '${path} says either likeness or weight',
      v => v === undefined || (v.likeness === undefined) !== (v.weight === undefined),
    ),
  )

const editionSchema = () =>
  shape({
    id: like(idForm, 'wants small letters, figures and hyphens').required(),
    kind: one('paperback', 'case', 'coil', 'saddle', 'ebook').required(),
    isbn: text(32),
    trim: text(40).test('trim', '${path} is no trim such as “6x9in”', v => v === undefined || !!parseTrim(v)),
    paper: text(60),
    ink: one('black', 'colour'),
    outlets: list(text(60).required(), 60).required(),
    style: text(60).required(),
    styleChanges: styleChanges as never,
    exceptions: record(sectionIdForm, 'which is no section', () => styleChanges as never, 5000) as never,
    finish: text(40),
    barcode: one('priced', 'left clear'),
    prices: record(/^[A-Z]{3}$/, 'which is no currency', () => whole(0, 100_000_000), 40) as never,
    coverPages: whole(1, 10_000),
    wrap: optional(wrapSchema()),
    ebook: optional(shape({ faces: yesNo(), fixed: yesNo(), css: text(100_000), light: lightWish() })),
  })

export const assetSchema = () =>
  shape({
    id: text(64).required(),
    type: one('image/png', 'image/jpeg', 'image/gif', 'image/svg+xml', 'application/pdf').required(),
    width: whole(1, 100_000).required(),
    height: whole(1, 100_000).required(),
    name: text(400),
    coloured: yesNo(),
    lacksFonts: yesNo(),
    made: yesNo(),
    cleaned: optional(list(shape({ how: text(120).required(), id: text(64).required() }), 200)),
    damaged: yesNo(),
  })

export const recordingSchema = () =>
  shape({
    id: text(64).required(),
    type: one(...recordingTypes).required(),
    name: text(400),
    seconds: amount(0, 1e6),
    silent: yesNo(),
    damaged: yesNo(),
  })

/** Pages that all runs of a plan may take together. */
const MOST_PLANNED = 5000
const handSchema = () =>
  shape({
    page: whole(0, MOST_PLANNED).required(),
    of: text(4000).defined(),
    pieces: list(
      shape({
        piece: text(120).required(),
        name: text(80),
        x: amount(-3000, 3000),
        y: amount(-3000, 3000),
        size: amount(0.1, 10),
        words: text(4000),
        was: text(4000),
        hidden: yesNo(),
        locked: yesNo(),
      }),
      300,
    ).required(),
    order: optional(list(text(40).required(), 500)),
    added: optional(designSchema()),
  })
const runSchema = () =>
  shape({
    id: text(40).required(),
    kind: one(...runKinds.map(k => k.id)).required(),
    pages: whole(0, MOST_PLANNED).required(),
    behind: text(40),
    heading: optional(shape({ words: text(300).defined(), from: whole(0, 100_000), listed: yesNo() })),
    ground: optional(groundSchema()),
    each: whole(1, 12),
    dealt: yesNo(),
    backs: optional(shape({ ground: optional(groundSchema()), answers: yesNo() })),
    seed: whole(0, 2 ** 32 - 1).required(),
    hand: optional(list(handSchema(), MOST_PLANNED)),
    // Each kind says what its own values are.
    params: lazy(
      (_v, { parent }: { parent?: { kind?: string } }) => kindOf(String(parent?.kind))?.schema() ?? shape({}),
    ) as never,
  })
export const planSchema = () =>
  shape({
    margins: optional(
      shape({
        head: amount(0, 300).required(),
        foot: amount(0, 300).required(),
        inside: amount(0, 300).required(),
        outside: amount(0, 300).required(),
      }),
    ),
    folios: one('none', 'outside', 'centre'),
    wished: whole(1, MOST_PLANNED),
    look: one(...pageLooks.map(l => l.id)),
    references: yesNo(),
    large: yesNo(),
    runs: list(runSchema(), 500)
      .required()
      .test(
        'pages',
        `\${path} plan more than ${MOST_PLANNED} pages together`,
        v =>
          ((v as { pages?: number }[] | undefined)?.reduce?.((n, r) => n + (Number(r?.pages) || 0), 0) as number) <=
          MOST_PLANNED,
      ),
  })

const fontSchema = () =>
  shape({
    id: like(ownFamilyForm, 'is no family of the author’s own').required(),
    name: text(120).defined(),
    files: shape({
      'regular': like(HASH, 'is no file').required(),
      'italic': like(HASH, 'is no file'),
      'bold': like(HASH, 'is no file'),
      'bold-italic': like(HASH, 'is no file'),
    }).required(),
  })

const phraseSchema = () =>
  shape({
    phrase: text(300).defined(),
    market: text(60).defined(),
    searches: amount(0, 1e10).required(),
    demand: amount(0, 1e10).required(),
    crowding: amount(0, 10).required(),
    note: text(10_000),
    place: one('headline', 'support', 'slot', 'description'),
  })

const listingSchema = () =>
  shape({
    slots: list(text(1000).defined(), 100),
    categories: list(text(300).defined(), 100),
    rights: yesNo(),
    lowContent: yesNo(),
    adult: yesNo(),
    address: text(1000),
  })

/** A style document of the author's own; what is wrong in it is said by the styles' own schema. */
const styleDocument = () =>
  mixed().test('style', '${path} is no style', function (v) {
    try {
      readStyleDocument(v)
      return true
    } catch (e) {
      return this.createError({ message: `${this.path}: ${(e as Error).message}` })
    }
  })

/** A day of the calendar. */
const day = () =>
  like(/^\d{4}-\d{2}-\d{2}$/, 'is no day').test(
    'day',
    '${path} is no day',
    v => v === undefined || dayOf(String(v)) !== undefined,
  )

/** What proof-reading was told, of a book or of a language. */
export const proofSchema = () =>
  shape({ words: list(text(200).defined(), 50_000).required(), left: list(text(2000).defined(), 50_000).required() })

/** Each part of a record with its schema, made when a book that has the part is first checked. */
const partSchemas: Record<string, () => Schema> = {
  id: once(() => like(idForm, 'wants small letters, figures and hyphens').required()),
  uid: once(() => like(uidForm, 'is no UUID')),
  lastId: once(() => whole(0, 1e14).required()),
  data: once(() => dataSchema().required()),
  sections: once(() => list(sectionSchema(), 5000).required()),
  editions: once(() => list(editionSchema(), 40).required()),
  assets: once(() => list(assetSchema(), 20_000).required()),
  recordings: once(() => list(recordingSchema(), 2000)),
  cover: once(() => optional(coverSchema())),
  coverDrafts: once(() => list(coverSchema(), 40)),
  plan: once(() => optional(planSchema())),
  styles: once(() => list(styleDocument(), 100)),
  fonts: once(() => list(fontSchema(), 100)),
  earlier: once(() =>
    optional(
      shape({
        title: text(500).defined(),
        isbns: list(text(20).defined(), 40).required(),
        year: whole(0, 9999),
        names: list(text(300).defined(), 200).required(),
      }),
    ),
  ),
  words: once(() => list(phraseSchema(), 20_000)),
  proof: once(() => optional(proofSchema())),
  pace: once(() =>
    optional(
      shape({
        target: whole(1, 1e7).required(),
        by: day().required(),
        since: day().required(),
        days: list(whole(0, 6).required(), 7).required(),
      }),
    ),
  ),
  rounds: once(() => list(roundSchema(), 1000)),
  review: once(() => optional(reviewSchema())),
  listings: once(() =>
    record(/^[a-z0-9-]{1,60}\/[a-z0-9-]{1,60}$/, 'which is no edition at an outlet', once(listingSchema), 2000),
  ) as never,
}
const roundForm = /^r\d{1,6}$/
const moment = () => whole(0, 8.64e15)

const returnSchema = () =>
  shape({
    id: like(/^r\d{1,6}-\d{1,6}$/, 'wants the name of a return').required(),
    by: text(MOST_NAME).defined(),
    at: moment().required(),
    state: like(HASH, 'wants a SHA-256').required(),
    told: like(HASH, 'wants a SHA-256').required(),
    left: list(text(2000).defined(), 100_000).required(),
    done: yesNo(),
  })

const roundSchema = () =>
  shape({
    id: like(roundForm, 'wants the name of a round').required(),
    to: text(MOST_NAME).defined(),
    at: moment().required(),
    form: one('docx', 'copy', 'whole').required(),
    sections: list(like(sectionIdForm, 'wants a section’s name').required(), 20_000),
    sent: like(HASH, 'wants a SHA-256').required(),
    returns: list(returnSchema(), 1000).required(),
  })

const reviewSchema = () =>
  shape({
    of: text(100).defined(),
    round: like(roundForm, 'wants the name of a round').required(),
    from: text(1000).defined(),
    at: moment().required(),
    by: text(MOST_NAME).defined(),
    whole: yesNo(),
    changed: record(sectionIdForm, 'which is no section', moment, 20_000) as never,
  })

/** Parts that every record has. */
const needed = ['id', 'lastId', 'data', 'sections', 'editions', 'assets']

/** The schema that a record is held against, but for parts that are known to be sound. */
const schemaFor = (book: unknown, sound: readonly string[]): Schema =>
  shape(
    Object.fromEntries(
      Object.entries(partSchemas)
        .filter(([name]) => !sound.includes(name) && (needed.includes(name) || Object.hasOwn(Object(book), name)))
        .map(([name, schema]) => [name, schema()]),
    ),
  )

/** Something in a book that is not in order: where, and what in a plain sentence. */
export interface Trouble {
  /** The path in the book: "editions[0].price". */
  place: string
  sentence: string
}

const parts: Record<string, string> = {
  data: 'the title data',
  title: 'the title',
  subtitle: 'the subtitle',
  contributors: 'the list of contributors',
  language: 'the language',
  imprint: 'the imprint',
  year: 'the year',
  description: 'the description',
  subjects: 'the list of subjects',
  uid: 'its UUID',
  lastId: 'the counter of ids',
  cover: 'the cover',
  coverDrafts: 'the covers kept beside',
  plan: 'the page plan',
  words: 'the kept phrases',
  listings: 'what is said in listings',
  styles: 'its styles',
  fonts: 'its typefaces',
}
const items: Record<string, string> = {
  sections: 'section',
  editions: 'edition',
  assets: 'picture',
  recordings: 'recording',
  runs: 'run',
  contributors: 'contributor',
  pieces: 'piece of the cover',
  coverDrafts: 'cover kept beside',
  words: 'phrase',
  styles: 'style',
  fonts: 'typeface',
  columns: 'column',
  outlets: 'outlet',
}

/** A path as people say it: "data.title" is the title, "editions[0].price" the price of edition 1. */
function spoken(path: string): string {
  const steps = [...path.matchAll(/([A-Za-z]+)(?:\[(\d+)\])?|\["([^"]+)"\]/g)].map(m =>
    m[3] !== undefined
      ? `“${m[3]}”`
      : m[2] !== undefined
        ? `${items[m[1]!] ?? m[1]!} ${Number(m[2]) + 1}`
        : (parts[m[1]!] ?? `its ${m[1]!.replace(/([A-Z])/g, ' $1').toLowerCase()}`),
  )
  const said = (steps.length > 1 && steps[0] === 'the title data' ? steps.slice(1) : steps).join(', ')
  return said.charAt(0).toUpperCase() + said.slice(1)
}

const sentenceOf = (e: ValidationError): Trouble => {
  const place = e.path ?? ''
  const message = e.message
    .split('\n')[0]!
    .replace(/^this\b/, 'The book')
    .replace(/ must be defined| is a required field/, ' is missing')
    .replace(
      /must be a `(\w+)` type.*$/s,
      (_m, type: string) =>
        `wants ${{ string: 'text', number: 'a number', boolean: 'yes or no', array: 'a list', object: 'a record' }[type] ?? type}`,
    )
  // The place is said as people say it, wherever the message begins with it.
  const words = message.startsWith(place) && place ? spoken(place) + message.slice(place.length) : message
  return { place, sentence: `${words.slice(0, 300)}.`.replace(/\.\.$/, '.') }
}

/**
 * What is not in order in a book; `known` are the outlets there are. Nothing where all is well. At most a hundred. `sound` are parts
 * that were found in order before: they are not looked at again, but by what refers to them.
 */
export function bookTroubles(book: unknown, known: readonly OutletProfile[], sound: readonly string[] = []): Trouble[] {
  const wanted = sound.length ? without(book as object, sound) : book
  const strange = strangeKey(withoutTexts(wanted))
  if (strange)
    return [
      {
        place: strange.path,
        sentence: `${strange.path ? spoken(strange.path) : 'The book'} has “${strange.key}”, which is nothing it may have.`,
      },
    ]
  try {
    schemaFor(wanted, sound).validateSync(wanted, { abortEarly: false, strict: true })
  } catch (e) {
    if (e instanceof ValidationError) return (e.inner.length ? e.inner : [e]).slice(0, 100).map(sentenceOf)
    return [{ place: '', sentence: 'The book’s record cannot be read.' }]
  }
  return references(book as Book, known)
}

const without = (book: object, parts: readonly string[]): object =>
  Object.fromEntries(Object.entries(book).filter(([name]) => !parts.includes(name)))

/** Texts are held against a schema of their own. */
const withoutTexts = (book: unknown): unknown =>
  book && typeof book === 'object' && Array.isArray((book as Book).sections)
    ? {
        ...book,
        sections: (book as Book).sections.map(s => (s && typeof s === 'object' ? { ...s, doc: undefined } : s)),
      }
    : book

/** What a book names and what must be there for it. */
function references(book: Book, known: readonly OutletProfile[]): Trouble[] {
  const out: Trouble[] = []
  const say = (place: string, sentence: string): void => void out.push({ place, sentence })
  const twice = (ids: string[], place: string, what: string): void => {
    const seen = new Set<string>()
    ids.forEach((id, i) =>
      seen.has(id) ? say(`${place}[${i}].id`, `${place}[${i}].id: two ${what} are called “${id}”.`) : seen.add(id),
    )
  }
  twice(
    book.sections.map(s => s.id),
    'sections',
    'sections',
  )
  twice(
    book.editions.map(e => e.id),
    'editions',
    'editions',
  )
  twice(
    book.assets.map(a => a.id),
    'assets',
    'pictures',
  )
  twice(
    (book.recordings ?? []).map(r => r.id),
    'recordings',
    'recordings',
  )
  const assets = new Set(book.assets.map(a => a.id))
  book.sections.forEach(
    (s, i) =>
      s.picture &&
      !assets.has(s.picture.asset) &&
      say(`sections[${i}].picture`, `sections[${i}].picture names a picture that the book does not have.`),
  )
  if (book.data.imprint.logo && !assets.has(book.data.imprint.logo))
    say('data.imprint.logo', 'data.imprint.logo names a picture that the book does not have.')
  for (const [place, cover] of [
    ['cover', book.cover] as const,
    ...(book.coverDrafts ?? []).map((d, i) => [`coverDrafts[${i}]`, d] as const),
  ]) {
    if (cover?.picture && !assets.has(cover.picture.asset))
      say(`${place}.picture`, `${place}.picture names a picture that the book does not have.`)
    if (cover?.front && !assets.has(cover.front.asset))
      say(`${place}.front`, `${place}.front names a picture that the book does not have.`)
    cover?.pieces.forEach((p, i) => {
      const asset =
        p.kind === 'picture' ? p.asset : p.kind === 'repeat' && p.of.kind === 'picture' ? p.of.asset : undefined
      if (asset !== undefined && !assets.has(asset))
        say(`${place}.pieces[${i}]`, `${place}.pieces[${i}] names a picture that the book does not have.`)
    })
  }
  const styles = new Set([...shippedStyles, ...(book.styles ?? [])].map(s => s.id))
  book.editions.forEach((e, i) => {
    const at = `editions[${i}]`
    if (!styles.has(e.style)) say(`${at}.style`, `${at}.style: there is no style “${e.style}”.`)
    if (e.wrap?.sheets.some(sheet => !assets.has(sheet.asset)))
      say(`${at}.wrap`, `${at}.wrap names a file that the book does not have.`)
    const outlets = e.outlets.map(o => known.find(p => p.id === o))
    outlets.forEach(
      (p, k) => !p && say(`${at}.outlets[${k}]`, `${at}.outlets: there is no outlet “${e.outlets[k]}” here.`),
    )
    if (e.kind === 'ebook') return
    if (!e.trim) say(`${at}.trim`, `${at}.trim is missing: a printed edition has a trim.`)
    const printer = outlets[0]
    if (!printer || !e.paper) return
    // Whether the printer binds so is seen in the room, with the controls that change it.
    if (printer.print && !printer.print.papers.some(p => p.id === e.paper))
      say(`${at}.paper`, `${at}.paper: ${printer.name} has no paper “${e.paper}”.`)
  })
  return out
}
