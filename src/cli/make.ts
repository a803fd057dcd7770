import { RunPress } from '@/core/activity'
import { access, constants, mkdir, stat, writeFile } from 'node:fs/promises'
import { dirname, join } from 'node:path'
import { parseArgs } from 'node:util'
import { authorLine, type Book, type Edition } from '@/core/book'
import { ebookChain, ebookInputs, printChain, printInputs, wordsOf } from '@/core/chain'
import { remedyWords } from '@/core/check'
import { outlineOf } from '@/core/delivery'
import { homeOutlet, profileOf, shippedProfiles } from '@/core/outlets'
import { evenness, Setter, shippedStyles, withChanges } from '@/core/pages'
import { asPrinted, pdfBytes } from '@/core/pdf'
import { Fault, parseIsbn, parseTrim } from '@/core/trade'
import { FontShelf } from '@/core/type'
import { openBook, typedPath } from './files'
import { fontSource, nodePorts } from './ports'

/** `press make FILE --out DIR …`: interior.pdf, book.epub, cover.pdf, cover.jpg and report.json. */
export async function runMake(args: string[]): Promise<void> {
  const { values, positionals } = parseArgs({
    args,
    allowPositionals: true,
    options: {
      out: { type: 'string' },
      trim: { type: 'string' },
      paper: { type: 'string' },
      outlet: { type: 'string' },
      title: { type: 'string' },
      author: { type: 'string' },
      isbn: { type: 'string' },
      style: { type: 'string' },
      date: { type: 'string' },
    },
  })
  if (positionals.length !== 1 || !values.out)
    throw new Fault('usage', 'Say which file, and where to: press make FILE --out DIR')
  const clock = stopwatch()
  const opened = await openBook(positionals[0]!)
  clock.lap('read')
  const edition = opened.book.editions.find(e => e.kind !== 'ebook')
  const known = [...(opened.project?.outlets ?? []), ...shippedProfiles]
  const profile = profileOf(values.outlet ?? homeOutlet(edition ?? { kind: 'paperback', outlets: [] }, known), known)
  const trim = parseTrim(values.trim ?? edition?.trim ?? '6x9in')
  if (!trim) throw new Fault('trim', `“${values.trim}” is no trim: write it like 6x9in, 156x234mm or A5.`)
  const shipped = shippedStyles.find(s => s.id === (values.style ?? edition?.style ?? shippedStyles[0]!.id))
  if (!shipped)
    throw new Fault(
      'style',
      `There is no style “${values.style}”: known are ${shippedStyles.map(s => s.id).join(', ')}.`,
    )
  const style = withChanges(shipped, values.style ? undefined : edition?.styleChanges)
  const isbnText = values.isbn ?? edition?.isbn ?? opened.isbn
  const isbn = isbnText ? parseIsbn(isbnText) : undefined
  if (isbnText && !isbn) throw new Fault('isbn', `“${isbnText.slice(0, 40)}” is no ISBN: its check figure is wrong.`)
  const date = readDate(values.date)
  const book: Book = {
    ...opened.book,
    data: {
      ...opened.book.data,
      ...(values.title ? { title: values.title } : {}),
      ...(values.author ? { contributors: [{ name: values.author, role: 'aut' }] } : {}),
    },
  }
  const shelf = new FontShelf(fontSource)
  shelf.addFamilies(book.fonts ?? [], opened.pictures)
  const ports = nodePorts(opened.pictures)
  const tools = { setter: new Setter(shelf), runs: new RunPress(shelf), shelf, ports }
  const asked: Edition = {
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
  }
  const inputs = { ...printInputs({ book, text: book, edition: asked, profile, date }, []), style }
  const chain = printChain(inputs, tools)
  const ebook = ebookChain(
    ebookInputs({ book, text: book, edition: { ...asked, isbn: undefined }, profile, date }, profile),
    { printCover: () => chain.get('cover'), printInterior: () => chain.get('interior') },
    tools,
  )
  const out = typedPath(values.out)

  await mayWriteTo(out, values.out)
  clock.skip()
  const interior = await chain.get('interior')
  clock.lap('set')
  const pdfPorts = await ports.pdf()
  const about = { author: authorLine(book.data), language: book.data.language, date }
  const pdf = await pdfBytes(
    interior.pages,
    {
      title: book.data.title,
      ...about,
      ...asPrinted(profile, inputs.spec.ink === 'black'),
      outline: outlineOf(book, interior),
      sectionPages: interior.starts,
    },
    pdfPorts,
  )
  clock.lap('pdf')
  const cover = await chain.get('cover')
  const wrap = await chain.get('wrap')
  const coverPdf = await pdfBytes(
    [cover.page],
    { title: `${book.data.title}: cover`, ...about, ...asPrinted(profile, false) },
    pdfPorts,
  )
  const front = await ebook.get('front')
  clock.lap('cover')
  const epub = await ebook.get('epub')
  clock.lap('epub')
  const money = await chain.get('money')
  const report = {
    title: book.data.title,
    outlet: profile.id,
    trim: trim.id,
    paper: inputs.spec.paper,
    pages: await chain.get('pages'),
    words: wordsOf(book),
    spinePt: round(await chain.get('spine')),
    cover: { widthPt: round(wrap.width), heightPt: round(wrap.height) },
    insideMarginPt: round(interior.spec.inside),
    cost: { currency: money.currency, minor: money.cost, leastPrice: money.leastPrice },
    setting: { lines: interior.stats.lines, ...evenness(interior.stats), unmet: interior.stats.unmet },
    dropped: opened.dropped,
    findings: (await chain.get('findings')).map(({ remedy, remedyValue, ...f }) => ({
      ...f,
      remedy: remedyWords({ remedy, remedyValue }),
    })),
    milliseconds: clock.laps,
  }
  // Nothing is written before everything is made: a failure leaves no half of a book behind.
  await mkdir(out, { recursive: true })
  await writeFile(join(out, 'interior.pdf'), pdf)
  await writeFile(join(out, 'cover.pdf'), coverPdf)
  await writeFile(join(out, 'cover.jpg'), front.bytes)
  await writeFile(join(out, 'book.epub'), epub.bytes)
  await writeFile(join(out, 'report.json'), JSON.stringify(report, null, 2) + '\n')
  process.stdout.write(
    `${report.pages} pages, ${report.words} words, ${report.findings.length} findings: ${values.out}\n`,
  )
}

/** Throws a Fault where a folder cannot be written, before anything is made for it; it is not made yet. */
async function mayWriteTo(folder: string, typed: string): Promise<void> {
  for (let at = folder; ; at = dirname(at)) {
    const there = await stat(at).catch(() => undefined)
    if (!there && dirname(at) !== at) continue
    const may =
      there?.isDirectory() &&
      (await access(at, constants.W_OK).then(
        () => true,
        () => false,
      ))
    if (!may)
      throw new Fault(
        'out',
        `Nothing can be written to “${typed.slice(0, 80)}”: it is no folder, or not yours to write in.`,
      )
    return
  }
}

const round = (x: number): number => Math.round(x * 1000) / 1000

function readDate(text: string | undefined): string {
  const day = text ?? new Date().toISOString().slice(0, 10)
  if (
    !/^\d{4}-\d{2}-\d{2}(T\d{2}:\d{2}:\d{2}Z)?$/.test(day) ||
    Number.isNaN(Date.parse(day)) ||
    new Date(Date.parse(day.slice(0, 10))).toISOString().slice(0, 10) !== day.slice(0, 10)
  )
    throw new Fault('date', `“${day.slice(0, 40)}” is no date: write it like 2026-05-31.`)
  return day.length === 10 ? `${day}T00:00:00Z` : day
}

function stopwatch(): { laps: Record<string, number>; lap(name: string): void; skip(): void } {
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
