import { strToU8, type Zippable, zipSync } from 'fflate'
import { authorLine, type Book, hashOf, type EditionKind, slugOf } from '../book'
import { type Cover, sheetPages } from '../cover'
import { mayBeClear, pressPdf } from './forPress'
import { type Finding, heavyFiles, remedyWords } from '../check'
import type { ListingSnapshot, Submission } from '../outlets'
import type { Interior } from '../pages'
import { dayOf, type OutletProfile, type Ticker } from '../trade'
import type { MadeEbook } from './ebook'
import type { NamedFile } from './interiorFile'
import { outlineOf } from './outline'
import type { DeliveryPorts, PaintedPage } from './ports'

/** What a package is made from. */
export interface PackageParts {
  book: Book
  kind: EditionKind
  profile: OutletProfile
  cover: Cover
  /** Of a print edition: its pages, and whether they are printed in black alone. */
  print?: { interior: Interior; grey: boolean }
  ebook?: MadeEbook
  /** Of an ebook: pages of the printed edition, for shops that ask how long it is. */
  printedPages?: number | undefined
  front: PaintedPage
  snapshot: ListingSnapshot
  /** Of its files and of its listing. */
  findings: Finding[]
  date: string
}

/** The package for an outlet: the files it takes, named well, in one ZIP, with what the listing says beside. Same parts, same bytes. */
export async function makePackage(
  parts: PackageParts,
  ports: DeliveryPorts,
  ticker: Ticker,
): Promise<{ submission: Submission; zip: Uint8Array }> {
  const { book, kind, profile, front, snapshot } = parts
  const slug = slugOf(book.data.title, 'book')
  const name = `${slug}-${kind}-${profile.id}`
  const made = parts.print ? await printFiles(parts, ports, ticker) : await ebookFiles(parts, ticker)
  const heavy = parts.print
    ? heavyFiles(profile, { interior: made[0]!.bytes.length, cover: made[1]!.bytes.length })
    : []
  await ticker({ stage: 'Front picture', done: 2, of: 3 })
  const { interior: _interior, cover: _cover, ...said } = snapshot
  const listing = strToU8(
    JSON.stringify({ outlet: profile.name, edition: kind, ...said, printedPages: parts.printedPages }, null, 1) + '\n',
  )
  const files: NamedFile[] = [
    ...made.map(f => ({ ...f, name: `${slug}${f.name}` })),
    { name: `${slug}-front.jpg`, bytes: front.bytes },
    { name: `${slug}-listing.json`, bytes: listing },
  ]
  const zip = zipped(name, files, parts.date)
  await ticker({ stage: 'Package', done: 3, of: 3 })
  const hash = hashOf(zip)
  const submission: Submission = {
    id: hash.slice(0, 16),
    zip: hash,
    name: `${name}.zip`,
    files: files.map(f => ({ name: f.name, bytes: f.bytes.length })),
    snapshot,
    faults: [...parts.findings, ...heavy].filter(f => f.severity === 'stop').map(f => `${f.message} ${remedyWords(f)}`),
  }
  return { zip, submission }
}

async function ebookFiles({ ebook }: PackageParts, ticker: Ticker): Promise<NamedFile[]> {
  await ticker({ stage: 'Ebook', done: 0, of: 2 })
  return [{ name: '.epub', bytes: ebook!.bytes }]
}

async function printFiles(
  parts: PackageParts,
  ports: DeliveryPorts,
  ticker: Ticker,
): Promise<[interior: NamedFile, cover: NamedFile]> {
  const { book, profile, cover, date } = parts
  const { interior, grey } = parts.print!
  const { data } = book
  const about = { author: authorLine(data), language: data.language, date }
  await ticker({ stage: 'Interior', done: 0, of: 3 })
  const pages = await pressPdf(
    interior.pages,
    { profile, grey },
    { title: data.title, ...about, outline: outlineOf(book, interior) },
    ports,
    p => ticker({ stage: 'Interior', done: p.done / Math.max(1, p.of), of: 3 }),
  )
  await ticker({ stage: 'Cover', done: 1, of: 3 })
  const wrap = { title: `${data.title}: cover`, ...about }
  const flat = await pressPdf(sheetPages(cover), { profile, grey: false, clear: mayBeClear(book.assets) }, wrap, ports)
  return [
    { name: '-interior.pdf', bytes: pages },
    { name: '-cover.pdf', bytes: flat },
  ]
}

/** What is packed already is only laid in. Dates in a ZIP have no zone: the day is written as it is. */
function zipped(folder: string, files: NamedFile[], date: string): Uint8Array {
  const mtime = dayOf(date)
  const entries: Zippable = {}
  for (const f of files) entries[`${folder}/${f.name}`] = [f.bytes, { level: f.name.endsWith('.json') ? 6 : 0, mtime }]
  return zipSync(entries)
}
