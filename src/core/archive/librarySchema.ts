import { array, boolean, lazy, mixed, number, object, string, ValidationError } from 'yup'
import { isHours } from '../outlets'
import { readStyleDocument } from '../pages'
import { isMatter } from './matter'
import { isDesign } from './designFile'
import { isRecipe } from './recipe'
import { versionKinds } from './thinning'
import { isImprint, isKeptDictionary, isLanguageProof, isPenName } from './supplies'
import { Fault, profileSchema, strangeKey } from '../trade'

/** The head of a backup as it comes in: what its list says of books, listings, versions, pieces and settings. */
const HASH = /^[0-9a-f]{64}$/
const time = () => number().strict().min(0).max(8.64e15)
const hash = () => string().strict().matches(HASH, '${path} is no hash')
const text = (most: number) => string().strict().max(most)

const snapshot = object({
  title: text(1000).defined(),
  subtitle: text(1000).defined(),
  author: text(1000).defined(),
  isbn: text(40).defined(),
  description: text(50_000).defined(),
  slots: array(text(1000).defined()).strict().defined(),
  categories: array(text(300).defined()).strict().defined(),
  lowContent: boolean().strict().defined(),
  adult: boolean().strict(),
  price: number().strict().required(),
  otherPrices: mixed().test(
    'prices',
    '${path} is no list of prices',
    v => v === undefined || (!!v && typeof v === 'object' && Object.values(v).every(p => Number.isInteger(p))),
  ),
  finish: text(40),
  pages: number().strict(),
  spinePt: number().strict(),
  wrapWidthPt: number().strict(),
  cost: number().strict(),
  royalty: number().strict(),
  epubBytes: number().strict(),
  interior: text(200).defined(),
  cover: text(200).defined(),
})
  .strict()
  .noUnknown()

const submission = object({
  id: text(200).required(),
  zip: hash().required(),
  name: text(300).required(),
  files: array(
    object({ name: text(300).required(), bytes: number().strict().min(0).required() })
      .strict()
      .noUnknown(),
  )
    .strict()
    .defined(),
  snapshot: snapshot.required(),
  faults: array(text(2000).defined()).strict().defined(),
})
  .strict()
  .noUnknown()

const bareKinds = ['withdrawn', 'proof approved']
const event = lazy((v: unknown) =>
  bareKinds.includes(String((v as { kind?: unknown } | null)?.kind))
    ? object({ kind: string().oneOf(bareKinds).required(), at: time().required() })
        .strict()
        .noUnknown()
    : object({
        kind: string().oneOf(['sent', 'proof ordered']).required(),
        at: time().required(),
        submission: submission.required(),
        profile: profileSchema().required(),
      })
        .strict()
        .noUnknown(),
)

const settingValue: Record<string, (v: unknown) => boolean> = {
  clock: isHours,
  'demo loaded': v => typeof v === 'boolean',
  // What was last asked in Research: a book, a market, a word.
  research: v =>
    !!v &&
    typeof v === 'object' &&
    !Array.isArray(v) &&
    Object.values(v).every(x => typeof x === 'string' && x.length <= 400),
  imprints: v => Array.isArray(v) && v.length <= 500 && v.every(isImprint),
  matter: v => Array.isArray(v) && v.length <= 500 && v.every(isMatter),
  penNames: v => Array.isArray(v) && v.length <= 500 && v.every(isPenName),
  dictionaries: v => Array.isArray(v) && v.length <= 500 && v.every(isKeptDictionary),
  proof: v => Array.isArray(v) && v.length <= 500 && v.every(isLanguageProof),
  designs: v => Array.isArray(v) && v.length <= 500 && v.every(isDesign),
  recipes: v => Array.isArray(v) && v.length <= 500 && v.every(isRecipe),
  styles: v =>
    Array.isArray(v) &&
    v.length <= 500 &&
    v.every(s => {
      try {
        readStyleDocument(s)
        return true
      } catch {
        return false
      }
    }),
}
const setting = object({ key: string().strict().required(), value: mixed() })
  .strict()
  .noUnknown()
  .test(
    'setting',
    '${path} is no setting that is known, or its value is none',
    s => !!s && Object.hasOwn(settingValue, s.key) && settingValue[s.key]!(s.value),
  )

const key = () =>
  string()
    .strict()
    .matches(/^[a-z0-9-]{1,60}\/[a-z0-9-]{1,60}\/[a-z0-9-]{1,60}$/, '${path} is no edition at an outlet')

/** Words of a day. */
const counts = () => {
  const count = () => number().strict().integer().min(0).max(1e9).required()
  return { wrote: count(), cut: count(), came: count() }
}

const librarySchema = object({
  format: string().oneOf(['porchlight-library']).required(),
  version: number().required(),
  books: array(
    object({
      id: string()
        .strict()
        .matches(/^[a-z0-9][a-z0-9-]{0,59}$/, '${path} is no id of a book')
        .required(),
      added: time().required(),
      changed: time(),
      takenDown: time(),
    })
      .strict()
      .noUnknown(),
  )
    .strict()
    .max(100_000)
    .required(),
  listings: array(
    object({
      key: key().required(),
      book: text(60).required(),
      events: array(event as never)
        .strict()
        .max(10_000)
        .required(),
    })
      .strict()
      .noUnknown(),
  )
    .strict()
    .max(100_000)
    .required(),
  settings: array(setting).strict().max(1000).required(),
  outlets: array(profileSchema().required()).strict().max(1000).required(),
  versions: array(
    object({
      book: text(60).required(),
      at: time().required(),
      label: text(300).defined(),
      kind: string()
        .strict()
        .oneOf([...versionKinds]),
      pages: number().strict().integer().min(0),
      words: number().strict().min(0).required(),
      manifest: hash().required(),
      parts: array(hash().required()).strict().max(100_000).required(),
    })
      .strict()
      .noUnknown(),
  )
    .strict()
    .max(1e6)
    .required(),
  pieces: array(
    object({
      book: text(60).required(),
      section: text(60).required(),
      at: time().required(),
      text: text(1e7).defined(),
    })
      .strict()
      .noUnknown(),
  )
    .strict()
    .max(1e5)
    .required(),
  tallies: array(
    object({
      book: text(60).required(),
      day: string()
        .strict()
        .matches(/^\d{4}-\d{2}-\d{2}$/, '${path} is no day')
        .required(),
      ...counts(),
      sittings: array(
        object({ from: time().required(), to: time().required(), wrote: counts().wrote, cut: counts().cut })
          .strict()
          .noUnknown(),
      )
        .strict()
        .max(1000)
        .required(),
    })
      .strict()
      .noUnknown(),
  )
    .strict()
    .max(1e6),
})
  .strict()
  .noUnknown()

/** Holds a backup's list against the schema. Throws a Fault with the place and one sentence. */
export function checkLibraryHead(head: unknown): void {
  const strange = strangeKey(head)
  if (strange)
    throw new Fault(
      'backup',
      `This backup is not in order: it has “${strange.key}”, which is nothing it may have.`,
      strange.path,
    )
  try {
    librarySchema.validateSync(head, { strict: true })
  } catch (e) {
    const at = e instanceof ValidationError ? e : undefined
    throw new Fault(
      'backup',
      `This backup is not in order: ${(at?.message ?? 'its list cannot be read').split('\n')[0]!.slice(0, 300)}.`,
      at?.path,
    )
  }
}

/** Whether a setting of the store is what it should be; others are as if they were not there. */
export const isSetting = (name: string, value: unknown): boolean =>
  !Object.hasOwn(settingValue, name) || settingValue[name]!(value)
