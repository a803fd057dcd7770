import { RunPress } from '@/core/activity'
import { mkdir, writeFile } from 'node:fs/promises'
import { join } from 'node:path'
import { parseArgs } from 'node:util'
import { authorLine, type Book, type EbookSettings, type Edition } from '@/core/book'
import { ebookChain, ebookInputs, printChain, printInputs, wordsOf } from '@/core/chain'
import { remedyWords } from '@/core/check'
import { sheetPages } from '@/core/cover'
import { mayBeClear, outlineOf, pressPdf } from '@/core/delivery'
import { homeOutlet, profileOf, shippedProfiles } from '@/core/outlets'
import { evenness, type InteriorStyle, linkPages, Setter, shippedStyles, whole, withChanges } from '@/core/pages'
import { Fault, type OutletProfile, parseIsbn, parseTrim } from '@/core/trade'
import { FontShelf } from '@/core/type'
import { LEAST_LIKENESS } from '@/core/weight'
import { openBook, type OpenedFile, typedPath } from './files'
import { fontSource, nodePorts } from './ports'
import { mayWriteTo, readDate } from './writing'

const options = {
  out: { type: 'string' },
  trim: { type: 'string' },
  paper: { type: 'string' },
  outlet: { type: 'string' },
  title: { type: 'string' },
  author: { type: 'string' },
  isbn: { type: 'string' },
  style: { type: 'string' },
  date: { type: 'string' },
  only: { type: 'string' },
  light: { type: 'string' },
} as const

/** What was asked for on the command line, by option. */
type Asked = Partial<Record<keyof typeof options, string>>

/** `press make FILE --out DIR …`: interior.pdf, book.epub, cover.pdf, cover.jpg and report.json; with `--only epub` the ebook alone. */
export async function runMake(args: string[]): Promise<void> {
  const { values, positionals } = parseArgs({ args, allowPositionals: true, options })
  if (positionals.length !== 1 || !values.out)
    throw new Fault('usage', 'Say which file, and where to: press make FILE --out DIR')
  if (values.only !== undefined && values.only !== 'epub')
    throw new Fault('usage', `“${values.only.slice(0, 40)}” is nothing that is made by itself: known is epub.`)
  const clock = stopwatch()
  const opened = await openBook(positionals[0]!)
  clock.lap('read')
  const order = orderOf(values, opened)
  const out = typedPath(values.out)
  await mayWriteTo(out, values.out)
  clock.skip()
  if (values.only) return ebookAlone(order, opened, out)
  if (order.printer !== order.profile)
    throw new Fault('no-print', `${order.profile.name} sells ebooks only: with --only epub there is its ebook.`)
  const { files, report } = await made(order, opened, clock)
  // Nothing is written before everything is made: a failure leaves no half of a book behind.
  await mkdir(out, { recursive: true })
  for (const [name, bytes] of Object.entries(files)) await writeFile(join(out, name), bytes)
  await writeFile(join(out, 'report.json'), JSON.stringify(report, null, 2) + '\n')
  process.stdout.write(
    `${report.pages} pages, ${report.words} words, ${report.findings.length} findings: ${values.out}\n`,
  )
}

/** The ebook by itself; its pages are those of the edition all the same. */
async function ebookAlone(order: MakeOrder, { pictures }: OpenedFile, out: string): Promise<void> {
  const { bytes } = await chainsOf(order, pictures).ebook.get('epub')
  await mkdir(out, { recursive: true })
  await writeFile(join(out, 'book.epub'), bytes)
  process.stdout.write(`book.epub, ${bytes.length} bytes\n`)
}

/** What is to be made: the book, the edition, where it goes, its style, and the day it is made. */
interface MakeOrder {
  book: Book
  edition: Edition
  profile: OutletProfile
  /** Who prints it: the outlet, or where it sells ebooks only the printer that its pages are made for. */
  printer: OutletProfile
  style: InteriorStyle
  date: string
  light: EbookSettings['light']
}

/** What was asked for, over what the file says. Throws a Fault where a value cannot be understood. */
function orderOf(values: Asked, opened: OpenedFile): MakeOrder {
  const edition = opened.book.editions.find(e => e.kind !== 'ebook')
  const known = [...(opened.project?.outlets ?? []), ...shippedProfiles]
  const home = homeOutlet(edition ?? { kind: 'paperback', outlets: [] }, known)
  const profile = profileOf(values.outlet ?? home, known)
  const trim = parseTrim(values.trim ?? edition?.trim ?? '6x9in')
  if (!trim) throw new Fault('trim', `“${values.trim}” is no trim: write it like 6x9in, 156x234mm or A5.`)
  const style = styleOf(values.style, edition)
  const isbn = isbnOf(values.isbn ?? edition?.isbn ?? opened.isbn)
  const { data } = opened.book
  const title = values.title ?? data.title
  const contributors = values.author ? [{ name: values.author, role: 'aut' }] : data.contributors
  return {
    book: { ...opened.book, data: { ...data, title, contributors } },
    edition: {
      id: 'asked',
      kind: edition?.kind ?? 'paperback',
      outlets: [profile.id],
      style: style.id,
      trim: trim.id,
      paper: values.paper ?? edition?.paper ?? 'cream',
      ink: edition?.ink ?? 'black',
      ...(isbn ? { isbn } : {}),
      ...(edition?.prices ? { prices: edition.prices } : {}),
      ...(edition?.finish ? { finish: edition.finish } : {}),
      ...(edition?.exceptions ? { exceptions: edition.exceptions } : {}),
    },
    profile,
    printer: profile.print ? profile : profileOf(home, known),
    style,
    date: readDate(values.date),
    light: lightOf(values.light),
  }
}

function styleOf(asked: string | undefined, edition: Edition | undefined): InteriorStyle {
  const id = asked ?? edition?.style ?? shippedStyles[0]!.id
  const shipped = shippedStyles.find(s => s.id === id)
  if (!shipped)
    throw new Fault('style', `There is no style “${asked}”: known are ${shippedStyles.map(s => s.id).join(', ')}.`)
  return withChanges(shipped, asked ? undefined : edition?.styleChanges)
}

function isbnOf(text: string | undefined): string | undefined {
  const isbn = text ? parseIsbn(text) : undefined
  if (text && !isbn) throw new Fault('isbn', `“${text.slice(0, 40)}” is no ISBN: its check figure is wrong.`)
  return isbn
}

/** The chains of an order, and the tools that they work with. */
function chainsOf(
  { book, edition, profile, printer, style, date, light }: MakeOrder,
  pictures: Map<string, Uint8Array>,
) {
  const shelf = new FontShelf(fontSource)
  shelf.addFamilies(book.fonts ?? [], pictures)
  const ports = nodePorts(pictures)
  const tools = { setter: new Setter(shelf), runs: new RunPress(shelf), shelf, ports }
  const inputs = { ...printInputs({ book, text: book, edition, profile: printer, date }, []), style }
  const print = printChain(inputs, tools)
  const ebook = ebookChain(
    ebookInputs({ book, text: book, edition: ebookEdition(book, edition, light), profile, date }, printer),
    () => print,
    tools,
  )
  return { print, ebook, ports, spec: inputs.spec }
}

/** The book's own ebook edition, or one that goes with what is printed. Its style is that of the printed one. */
function ebookEdition(book: Book, { isbn: _printed, ...printed }: Edition, light: EbookSettings['light']): Edition {
  const own = book.editions.find(e => e.kind === 'ebook')
  return { ...printed, ...own, ebook: { ...own?.ebook, ...(light ? { light } : {}) } }
}

/** What is asked of the ebook's pictures: "95%" like the originals at least, or a file of "5MB" at most. */
function lightOf(text: string | undefined): EbookSettings['light'] {
  if (text === undefined) return undefined
  const [, number, unit] = /^(\d{1,4}(?:\.\d+)?)\s*(%|MB)$/i.exec(text) ?? []
  const percent = unit === '%'
  if (!Number(number) || (percent && (Number(number) < LEAST_LIKENESS * 100 || Number(number) >= 100)))
    throw new Fault(
      'light',
      `“${text.slice(0, 40)}” says nothing of weight: write the least likeness of pictures like 95%, or the most weight like 5MB.`,
    )
  return percent ? { likeness: Number(number) / 100 } : { weight: Math.round(Number(number) * 1e6) }
}

/** Makes all files and what is reported of them. */
async function made(order: MakeOrder, { pictures, dropped }: OpenedFile, clock: Stopwatch) {
  const { book, profile, date } = order
  const { print, ebook, ports, spec } = chainsOf(order, pictures)
  const interior = whole(await print.get('interior'))
  clock.lap('set')
  const about = { author: authorLine(book.data), language: book.data.language, date }
  const pdf = await pressPdf(
    interior.pages,
    { profile, grey: spec.ink === 'black' },
    {
      title: book.data.title,
      ...about,
      outline: outlineOf(book, interior),
      linkPages: linkPages(interior, book.sections),
    },
    ports,
  )
  clock.lap('pdf')
  const coverPdf = await pressPdf(
    sheetPages(await print.get('cover')),
    { profile, grey: false, clear: mayBeClear(book.assets) },
    { title: `${book.data.title}: cover`, ...about },
    ports,
  )
  const front = await ebook.get('front')
  clock.lap('cover')
  const epub = await ebook.get('epub')
  clock.lap('epub')
  return {
    files: { 'interior.pdf': pdf, 'cover.pdf': coverPdf, 'cover.jpg': front.bytes, 'book.epub': epub.bytes },
    report: { ...(await reported(order, print, dropped)), milliseconds: clock.laps },
  }
}

async function reported(
  { book, profile, edition }: MakeOrder,
  print: ReturnType<typeof printChain>,
  dropped: OpenedFile['dropped'],
) {
  const [interior, wrap, money] = [await print.get('interior'), await print.get('wrap'), await print.get('money')]
  const findings = await print.get('findings')
  return {
    title: book.data.title,
    outlet: profile.id,
    trim: edition.trim,
    paper: edition.paper,
    pages: await print.get('pages'),
    words: wordsOf(book),
    spinePt: round(await print.get('spine')),
    cover: { widthPt: round(wrap.width), heightPt: round(wrap.height) },
    insideMarginPt: round(interior.spec.inside),
    cost: { currency: money.currency, minor: money.cost, leastPrice: money.leastPrice },
    setting: { lines: interior.stats.lines, ...evenness(interior.stats), unmet: interior.stats.unmet },
    dropped,
    findings: findings.map(({ remedy, remedyValue, ...f }) => ({ ...f, remedy: remedyWords({ remedy, remedyValue }) })),
  }
}

const round = (x: number): number => Math.round(x * 1000) / 1000

interface Stopwatch {
  /** Milliseconds, by name. */
  laps: Record<string, number>
  lap(name: string): void
  skip(): void
}

function stopwatch(): Stopwatch {
  const laps: Record<string, number> = {}
  let last = performance.now()
  return {
    laps,
    lap(name) {
      const now = performance.now()
      laps[name] = Math.round(now - last)
      last = now
    },
    skip() {
      last = performance.now()
    },
  }
}
