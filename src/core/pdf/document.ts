import { PDFName, type PDFRef } from '@cantoo/pdf-lib'
import type { PageMarks } from '../marks'
import { Fault, joinBytes, type Ticker } from '../trade'
import { pageContent } from './content'
import { PdfFile, type Sink } from './file'
import { greyProfile, rgbProfile } from './icc'
import { pageLinks } from './links'
import type { PdfOptions, PdfPorts } from './options'
import { outline, pageLabels } from './outline'
import { Resources } from './resources'
import { round } from './round'
import { StructureTree } from './tags'
import { xmp } from './xmp'

/** How many pages are made before those before them must be packed and written: what waits is in memory unpacked. */
const AHEAD = 8

/** A whole PDF in memory, for when it goes nowhere else. */
export async function pdfBytes(
  pages: PageMarks[],
  options: PdfOptions,
  ports: PdfPorts,
  ticker?: Ticker,
): Promise<Uint8Array> {
  const chunks: Uint8Array[] = []
  await writePdf(pages, options, ports, chunk => chunks.push(chunk), ticker)
  return joinBytes(chunks)
}

/** Writes pages of marks as a press-ready PDF into a sink, chunk by chunk. */
export async function writePdf(
  pages: PageMarks[],
  options: PdfOptions,
  { subsetter, pictures, deflate }: PdfPorts,
  sink: Sink,
  ticker?: Ticker,
): Promise<void> {
  if (options.preparedFor === 'X-1a' && !options.grey && !options.inks)
    throw new Fault('colour', 'PDF/X-1a takes black and inks alone: these have colours of a screen.')
  const file = new PdfFile(sink, deflate, options.preparedFor === 'X-1a' ? '1.4' : '1.6')
  const resources = new Resources(
    file,
    pages,
    options.tags && !options.preparedFor ? new StructureTree(file, options.tags) : undefined,
    options.inks,
  )
  await resources.embedPictures(pictures, options, ticker)
  const tree = file.ref()
  const refs = await writePages(file, pages, { options, resources, tree, ticker })
  file.object({ Type: 'Pages', Kids: refs, Count: refs.length }, tree)
  resources.embedFonts(subsetter)
  if (options.preparedFor === 'X-1a' && resources.transparent)
    throw new Fault('transparency', 'These pages have something seen through; PDF/X-1a has no such thing.')
  const catalog = writeCatalog(file, pages, { options, resources, tree, refs })
  await file.end(catalog, writeInfo(file, options))
}

/** What the parts of a file have in common. */
interface Document {
  options: PdfOptions
  resources: Resources
  /** The tree of pages. */
  tree: PDFRef
}

async function writePages(
  file: PdfFile,
  pages: PageMarks[],
  document: Document & { ticker: Ticker | undefined },
): Promise<PDFRef[]> {
  const refs: PDFRef[] = pages.map(() => file.ref())
  for (const [i, page] of pages.entries()) {
    writePage(file, page, document, i, refs)
    if (i % AHEAD === AHEAD - 1) await file.settled()
    if (i % 8 === 7) await document.ticker?.({ stage: 'Writing PDF', done: i + 1, of: pages.length })
  }
  return refs
}

function writePage(
  file: PdfFile,
  p: PageMarks,
  { options, resources, tree }: Document,
  i: number,
  refs: PDFRef[],
): void {
  resources.tags?.beginPage(i)
  const content = p.layers.length ? file.stream(pageContent(p, resources)) : undefined
  const { bleed: b } = p
  const whole = [0, 0, round(p.width + b.left + b.right), round(p.height + b.top + b.bottom)]
  const annots = options.linkPages && !options.preparedFor ? pageLinks(file, p, options.linkPages, refs) : []
  file.object(
    {
      Type: 'Page',
      Parent: tree,
      MediaBox: whole,
      BleedBox: whole,
      TrimBox: [b.left, b.bottom, b.left + p.width, b.bottom + p.height].map(round),
      Resources: resources.of(p),
      ...(content ? { Contents: content } : {}),
      ...(annots.length ? { Annots: annots } : {}),
      ...(resources.tags && content ? { StructParents: i, Tabs: 'S' } : {}),
    },
    refs[i],
  )
}

function writeCatalog(
  file: PdfFile,
  pages: PageMarks[],
  { options, resources, tree, refs }: Document & { refs: PDFRef[] },
): PDFRef {
  const root: Record<string, unknown> = {
    Type: 'Catalog',
    Pages: tree,
    Lang: file.text(options.language),
    PageLabels: { Nums: pageLabels(file, pages) },
    ViewerPreferences: { DisplayDocTitle: true },
    Metadata: file.stream(xmp(options), { Type: 'Metadata', Subtype: 'XML' }, file.ref(), true),
  }
  if (resources.tags) {
    root.StructTreeRoot = resources.tags.write(refs)
    root.MarkInfo = { Marked: true }
  }
  if (options.preparedFor) root.OutputIntents = [outputIntent(file, options)]
  if (options.outline?.length) {
    root.Outlines = outline(file, options.outline, refs)
    root.PageMode = 'UseOutlines'
  }
  return file.object(root as never)
}

/** Says what the file's greys or colours mean (PDF 32000-1, 14.11.5). */
function outputIntent(file: PdfFile, { grey, inks: separation }: PdfOptions): PDFRef {
  const inks = grey ? undefined : separation?.inks
  if (inks)
    return file.object({
      Type: 'OutputIntent',
      S: 'GTS_PDFX',
      OutputConditionIdentifier: file.text('Custom'),
      OutputCondition: file.text(inks.name),
      Info: file.text(inks.name),
      DestOutputProfile: file.stream(inks.profile, { N: 4 }),
    })
  const name = grey ? 'Black on uncoated paper' : 'Colours as on a screen, to be separated by the printer'
  return file.object({
    Type: 'OutputIntent',
    S: 'GTS_PDFX',
    OutputConditionIdentifier: file.text('Custom'),
    OutputCondition: file.text(name),
    Info: file.text(grey ? 'One black ink, tones spread by a fifth at the middle' : 'sRGB (IEC 61966-2-1)'),
    DestOutputProfile: grey ? file.stream(greyProfile(name, 0.2), { N: 1 }) : file.stream(rgbProfile(name), { N: 3 }),
  })
}

/** The standard that a file says it was prepared for, as that standard names itself. */
const VERSIONS = { 'X-1a': 'PDF/X-1a:2003', 'X-4': 'PDF/X-4' } as const

const writeInfo = (file: PdfFile, { title, author, date, preparedFor }: PdfOptions): PDFRef =>
  file.object({
    Title: file.text(title),
    ...(author ? { Author: file.text(author) } : {}),
    Producer: file.text('Porchlight'),
    CreationDate: file.date(date),
    ModDate: file.date(date),
    Trapped: PDFName.of('False'),
    ...(preparedFor ? { GTS_PDFXVersion: file.text(VERSIONS[preparedFor]) } : {}),
  })
