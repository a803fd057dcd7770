import { strToU8, type Zippable, zipSync } from 'fflate'
import { authorLine, type Book, type Edition, hashOf, picturesIn, slugOf } from '@/core/book'
import { outlineOf } from './interiorFiles'
import { DATE, loadedSubsetter, pdf, pictureSource } from './pdfPorts'
import { check, type Finding } from '@/core/check'
import type { EpubTrouble } from '@/core/epub'
import { type Cover, drawCover, flatFor, frontPage } from '@/core/cover'
import { ebookMoney, leastEbookPrice, listingFindings, type ListingSnapshot, type Submission } from '@/core/outlets'
import { pageStarts } from '@/core/pages'
import type { OutletProfile, Ticker } from '@/core/trade'
import { bookOf, chainOf, designOf, inputsOf, keyOf, type OpenedBook, outlet, styleOf } from './openBooks'
import { shelf } from './fontShelf'
import { draw } from './draw'
import { originalBytes, withOriginals } from './pictureShelf'

/** The print edition whose pages an ebook's page list names, and whose front it wears. */
const printOf = (b: OpenedBook): Edition | undefined => b.book.editions.find(e => e.kind !== 'ebook')

/** The cover an edition wears: its own flat, or for an ebook the front of the print edition's. */
export async function coverOf(bookId: string, e: Edition, outletId?: string): Promise<Cover> {
  const b = bookOf(bookId)
  if (e.kind !== 'ebook') return chainOf(bookId, e.id, outletId).get('cover')
  const print = printOf(b)
  if (print) return chainOf(bookId, print.id).get('cover')
  return drawCover(
    flatFor(outlet('ostrevane'), { binding: 'paperback', trim: '6x9in', paper: 'cream', pages: 200 }),
    designOf(b.book),
    b.book.data,
    undefined,
    shelf,
    b.book.assets,
  )
}

/** The front of a book's cover before its pages are known: a front is the same whatever the spine. Undefined where no printer binds such a book. */
export async function frontAtOnce(bookId: string): Promise<Cover | undefined> {
  const b = bookOf(bookId)
  const e = printOf(b)
  if (!e) return coverOf(bookId, b.book.editions[0]!)
  const { profile, spec } = inputsOf(b, e, e.outlets[0] ?? 'ostrevane')
  const rules = profile.print?.bindings.find(x => x.kind === spec.binding)
  return (
    rules &&
    drawCover(
      flatFor(profile, { ...spec, pages: e.coverPages ?? Math.min(rules.mostPages, Math.max(rules.leastPages, 200)) }),
      designOf(b.book),
      b.book.data,
      e.isbn,
      shelf,
      b.book.assets,
    )
  )
}

/** Height of the front picture in pixels: well inside what the outlet takes. */
const frontHeight = (profile: OutletProfile): number =>
  profile.ebook ? Math.min(profile.ebook.frontMost, Math.max(profile.ebook.frontLeast, 2560)) : 2560

async function frontJpeg(cover: Cover, height: number): Promise<{ bytes: Uint8Array; width: number; height: number }> {
  const page = frontPage(cover)
  const canvas = await withOriginals(page, pictures => draw(page, height / page.height, pictures))
  const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.9 })
  return { bytes: new Uint8Array(await blob.arrayBuffer()), width: canvas.width, height: canvas.height }
}

/** An ebook as it was made: its file, its front picture's size, and what an inspection of the file found. */
interface MadeEpub {
  bytes: Uint8Array
  front: { width: number; height: number }
  troubles: EpubTrouble[]
}
const epubs = new WeakMap<object, Map<string, MadeEpub>>()

/** The ebook as an outlet gets it; remembered while text and cover stay what they are. */
export async function epubOf(bookId: string, e: Edition, profile: OutletProfile): Promise<MadeEpub> {
  const b = bookOf(bookId)
  const cover = await coverOf(bookId, e)
  const height = frontHeight(profile)
  const made = epubs.get(b.text) ?? new Map<string, MadeEpub>()
  epubs.set(b.text, made)
  const key = `${height}/${keyOf(designOf(b.book))}/${e.isbn ?? ''}`
  const known = made.get(key)
  if (known) return known
  const front = await frontJpeg(cover, height)
  const print = printOf(b)
  const pages = print ? pageStarts(await chainOf(bookId, print.id).get('interior')) : undefined
  const { inspectEpub, writeEpub } = await import('@/core/epub')
  const originals = await originalsOf(b.text)
  const bytes = writeEpub(b.text, {
    isbn: e.isbn,
    date: DATE,
    cover: { bytes: front.bytes, type: 'image/jpeg' },
    picture: id => originals.get(id),
    ...(pages ? { pages } : {}),
  })
  const out = { bytes, front: { width: front.width, height: front.height }, troubles: inspectEpub(bytes) }
  made.set(key, out)
  return out
}

/** The pictures of a book's text, as they came. */
async function originalsOf(book: Book): Promise<Map<string, Uint8Array>> {
  const out = new Map<string, Uint8Array>()
  for (const { asset } of book.sections.flatMap(picturesIn)) {
    const bytes = out.has(asset) ? undefined : await originalBytes(asset)
    if (bytes) out.set(asset, bytes)
  }
  return out
}

/** All findings of an edition at an outlet: files, cover, data. Those of the listing's words come apart, since a draft lacks them for long. */
export async function findingsOf(bookId: string, e: Edition, outletId: string): Promise<Finding[]> {
  const b = bookOf(bookId)
  const profile = outlet(outletId)
  if (e.kind !== 'ebook') return chainOf(bookId, e.id, outletId).get('findings')
  const epub = await epubOf(bookId, e, profile)
  return check({
    book: b.book,
    profile,
    ebook: {
      bytes: epub.bytes.length,
      troubles: epub.troubles,
      front: epub.front,
      price: e.price,
      leastPrice: leastEbookPrice(profile, epub.bytes.length),
    },
  })
}

/** What the outlet would see of the edition if it were sent now. */
export async function snapshotOf(bookId: string, e: Edition, outletId: string): Promise<ListingSnapshot> {
  const b = bookOf(bookId)
  const { data } = b.book
  const draft = b.book.listings?.[`${e.id}/${outletId}`] ?? {}
  const profile = outlet(outletId)
  const base = {
    title: data.title,
    subtitle: data.subtitle ?? '',
    author: authorLine(data),
    isbn: e.isbn ?? '',
    description: data.description ?? '',
    slots: (draft.slots ?? []).filter(s => s.trim()),
    categories: draft.categories ?? [],
    lowContent: !!draft.lowContent,
    price: e.price ?? 0,
    cover: keyOf({ design: designOf(b.book), data }),
  }
  const text = keyOf({ sections: b.text.sections.map(s => keyOf(s)), data })
  if (e.kind === 'ebook') {
    const epub = await epubOf(bookId, e, profile)
    const money = e.price === undefined ? undefined : ebookMoney(profile, e.price, epub.bytes.length)
    return { ...base, epubBytes: epub.bytes.length, ...(money ? { royalty: money.royalty } : {}), interior: text }
  }
  const chain = chainOf(bookId, e.id, outletId)
  const money = await chain.get('money')
  return {
    ...base,
    pages: await chain.get('pages'),
    spinePt: await chain.get('spine'),
    wrapWidthPt: (await chain.get('wrap')).width,
    cost: money.cost,
    ...(money.earnings[0] && e.price !== undefined ? { royalty: money.earnings[0].royalty } : {}),
    interior: keyOf({
      text,
      style: styleOf(b.book, e),
      exceptions: e.exceptions,
      trim: e.trim,
      paper: e.paper,
      ink: e.ink,
      plan: b.book.plan,
    }),
  }
}

/** The package for an outlet: the files it takes, named well, in one ZIP, with the title's data beside. */
export async function makePackage(
  bookId: string,
  e: Edition,
  outletId: string,
  ticker: Ticker,
): Promise<{ submission: Submission; zip: Uint8Array }> {
  const b = bookOf(bookId)
  const profile = outlet(outletId)
  const { data } = b.book
  const snapshot = await snapshotOf(bookId, e, outletId)
  const slug = slugOf(data.title, 'book')
  const name = `${slug}-${e.kind}-${outletId}`
  const files: { name: string; bytes: Uint8Array }[] = []
  const meta = { title: data.title, author: authorLine(data), language: data.language, date: DATE }
  const cover = await coverOf(bookId, e, outletId)
  if (e.kind === 'ebook') {
    await ticker({ stage: 'Ebook', done: 0, of: 2 })
    files.push({ name: `${slug}.epub`, bytes: (await epubOf(bookId, e, profile)).bytes })
  } else {
    const chain = chainOf(bookId, e.id, outletId)
    const interior = await chain.get('interior')
    const outline = outlineOf(b, interior)
    const { asPrinted, pdfBytes } = await pdf()
    await ticker({ stage: 'Interior', done: 0, of: 3 })
    files.push({
      name: `${slug}-interior.pdf`,
      bytes: await pdfBytes(
        interior.pages,
        { ...meta, ...asPrinted(profile, e.ink !== 'colour'), outline },
        await loadedSubsetter(),
        pictureSource,
        p => ticker({ stage: 'Interior', done: p.done / Math.max(1, p.of), of: 3 }),
      ),
    })
    await ticker({ stage: 'Cover', done: 1, of: 3 })
    files.push({
      name: `${slug}-cover.pdf`,
      bytes: await pdfBytes(
        [cover.page],
        { ...meta, title: `${data.title}: cover`, ...asPrinted(profile, false) },
        await loadedSubsetter(),
        pictureSource,
      ),
    })
  }
  await ticker({ stage: 'Front picture', done: 2, of: 3 })
  files.push({ name: `${slug}-front.jpg`, bytes: (await frontJpeg(cover, frontHeight(profile))).bytes })
  const { interior: _i, cover: _c, ...said } = snapshot
  files.push({
    name: `${slug}-listing.json`,
    bytes: strToU8(JSON.stringify({ outlet: profile.name, edition: e.kind, ...said }, null, 1) + '\n'),
  })
  const zippable: Zippable = Object.fromEntries(
    files.map(f => [
      `${name}/${f.name}`,
      [f.bytes, { level: f.name.endsWith('.json') ? 6 : 0, mtime: new Date(2026, 0, 1) }],
    ]),
  )
  const zip = zipSync(zippable)
  await ticker({ stage: 'Package', done: 3, of: 3 })
  const draft = b.book.listings?.[`${e.id}/${outletId}`] ?? {}
  const faults = [...(await findingsOf(bookId, e, outletId)), ...listingFindings(b.book, e, draft, profile)]
    .filter(f => f.severity === 'stop')
    .map(f => `${f.message} ${f.remedy}`)
  const hash = hashOf(zip)
  return {
    zip,
    submission: {
      id: hash.slice(0, 16),
      zip: hash,
      name: `${name}.zip`,
      files: files.map(f => ({ name: f.name, bytes: f.bytes.length })),
      snapshot,
      faults,
    },
  }
}
