import { RunPress } from '@/core/activity'
import { mkdir, writeFile } from 'node:fs/promises'
import { join } from 'node:path'
import { parseArgs } from 'node:util'
import { authorLine, type Book, type Edition } from '@/core/book'
import { printChain, printInputs } from '@/core/chain'
import { remedyWords } from '@/core/check'
import { sheetPages, shippedDesigns } from '@/core/cover'
import { mayBeClear, pressPdf } from '@/core/delivery'
import { homeOutlet, profileOf, shippedProfiles } from '@/core/outlets'
import { Setter } from '@/core/pages'
import { colourFor, Fault, type FileColour } from '@/core/trade'
import { FontShelf } from '@/core/type'
import { openBook, typedPath } from './files'
import { fontSource, nodePorts } from './ports'
import { mayWriteTo, readDate } from './writing'

const options = {
  out: { type: 'string' },
  edition: { type: 'string' },
  outlet: { type: 'string' },
  design: { type: 'string' },
  colour: { type: 'string' },
  date: { type: 'string' },
} as const

/** `press cover ARCHIVE --out DIR …`: cover.pdf as the outlet takes it, front.jpg, and cover.json with its measures and findings. */
export async function runCover(args: string[]): Promise<void> {
  const { values, positionals } = parseArgs({ args, allowPositionals: true, options })
  if (positionals.length !== 1 || !values.out)
    throw new Fault('usage', 'Say which book, and where to: press cover ARCHIVE --edition ID --outlet O --out DIR')
  const { book: asFiled, pictures, project } = await openBook(positionals[0]!)
  const edition = editionOf(asFiled, values.edition)
  const known = [...(project?.outlets ?? []), ...shippedProfiles]
  const profile = profileOf(values.outlet ?? homeOutlet(edition, known), known)
  if (!profile.print) throw new Fault('no-print', `${profile.name} sells ebooks only.`)
  const colour = colourOf(values.colour) ?? colourFor(profile)
  const book = { ...asFiled, ...designed(values.design) }
  const out = typedPath(values.out)
  await mayWriteTo(out, values.out)

  const shelf = new FontShelf(fontSource)
  shelf.addFamilies(book.fonts ?? [], pictures)
  const ports = nodePorts(pictures)
  const tools = { setter: new Setter(shelf), runs: new RunPress(shelf), shelf, ports }
  const date = readDate(values.date)
  const chain = printChain(printInputs({ book, text: book, edition, profile, date }, []), tools)
  const cover = await chain.get('cover')
  const about = {
    title: `${book.data.title}: cover`,
    author: authorLine(book.data),
    language: book.data.language,
    date,
  }
  const pdf = await pressPdf(
    sheetPages(cover),
    { profile, grey: false, colour, clear: mayBeClear(book.assets) },
    about,
    ports,
  )
  const front = await chain.get('front')
  const findings = (await chain.get('findings')).filter(f => f.place.kind === 'cover')
  const wrap = await chain.get('wrap')
  const report = {
    title: book.data.title,
    edition: edition.id,
    outlet: profile.id,
    design: cover.design.id,
    colour,
    pages: cover.flat.pages,
    sheets: cover.flat.sheets.length,
    spinePt: round(cover.flat.panels.spine.width),
    spineText: cover.flat.spineText,
    sheet: { widthPt: round(wrap.width), heightPt: round(wrap.height) },
    front: { width: front.width, height: front.height, bytes: front.bytes.length },
    findings: findings.map(f => ({ ...f, remedy: remedyWords(f) })),
  }
  await mkdir(out, { recursive: true })
  await writeFile(join(out, 'cover.pdf'), pdf)
  await writeFile(join(out, 'front.jpg'), front.bytes)
  await writeFile(join(out, 'cover.json'), JSON.stringify(report, null, 2) + '\n')
  process.stdout.write(
    `cover.pdf in ${colour}, ${cover.flat.pages} pages, ${findings.length} findings: ${values.out}\n`,
  )
}

const round = (v: number): number => Math.round(v * 1000) / 1000

/** The edition that is named, or the first that is printed. */
function editionOf({ editions }: Book, id: string | undefined): Edition {
  const printed = editions.filter(e => e.kind !== 'ebook')
  const found = id === undefined ? printed[0] : printed.find(e => e.id === id)
  if (found) return found
  if (!printed.length) throw new Fault('no-edition', 'This book has no printed edition, so it has no flat.')
  throw new Fault(
    'no-edition',
    `There is no printed edition “${id!.slice(0, 40)}”: known are ${printed.map(e => e.id).join(', ')}.`,
  )
}

function colourOf(text: string | undefined): FileColour | undefined {
  if (text === undefined || text === 'rgb' || text === 'cmyk') return text
  throw new Fault('colour', `“${text.slice(0, 40)}” is nothing that colours are written in: known are rgb and cmyk.`)
}

/** Another design in the place of the book’s. */
function designed(id: string | undefined): Pick<Book, 'cover'> | object {
  if (id === undefined) return {}
  const cover = shippedDesigns.find(d => d.id === id)
  if (!cover)
    throw new Fault(
      'design',
      `There is no design “${id.slice(0, 40)}”: known are ${shippedDesigns.map(d => d.id).join(', ')}.`,
    )
  return { cover }
}
