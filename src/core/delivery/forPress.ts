import type { Asset } from '../book'
import type { PageMarks } from '../marks'
import type { PdfOptions } from '../pdf'
import { colourFor, type FileColour, type OutletProfile, printRules, type Ticker } from '../trade'
import { flatPages } from './flatten'
import type { DeliveryPorts } from './ports'

const NONE: ReadonlySet<string> = new Set()

/** Pictures of a book that may be clear in places: JPEGs and pages of PDFs never are. */
export const mayBeClear = (assets: readonly Asset[]): ReadonlySet<string> =>
  new Set(assets.filter(a => a.type !== 'image/jpeg' && a.type !== 'application/pdf').map(a => a.id))

/** Of what is written in black alone, and of what has colour: in what. */
export interface PressWish {
  profile: OutletProfile
  grey: boolean
  colour?: FileColour | undefined
  /** Pictures that may be clear in places, where what lies under them is to be seen. */
  clear?: ReadonlySet<string>
}

/** A PDF as a printer takes it: its kind, its colours, nothing seen through where it knows no such thing. */
export async function pressPdf(
  pages: PageMarks[],
  { profile, grey, colour = colourFor(profile), clear = NONE }: PressWish,
  about: Omit<PdfOptions, 'grey' | 'inks' | 'preparedFor' | 'ppi'>,
  ports: DeliveryPorts,
  ticker?: Ticker,
): Promise<Uint8Array> {
  const { asPrinted } = await import('../pdf')
  const inks = grey || colour === 'rgb' ? undefined : await separationFor(profile, ports)
  const as = asPrinted(profile, grey, inks)
  const flat = clear.size ? await flatPages(pages, { opacity: false, pictures: clear }, ports) : undefined
  const from = flat ? { ...ports, pictures: flat.pictures } : ports
  return writtenPdf(flat?.pages ?? pages, { ...about, ...as }, from, ticker)
}

/** A PDF of pages; flat, where its standard knows nothing that is seen through. */
export async function writtenPdf(
  pages: PageMarks[],
  options: PdfOptions,
  ports: DeliveryPorts,
  ticker?: Ticker,
): Promise<Uint8Array> {
  const { pdfBytes } = await import('../pdf')
  const pdfPorts = await ports.pdf()
  const flat =
    options.preparedFor === 'X-1a'
      ? await flatPages(pages, { opacity: true, pictures: NONE }, ports)
      : { pages, pictures: ports.pictures }
  return pdfBytes(flat.pages, options, { ...pdfPorts, pictures: flat.pictures }, ticker)
}

/** How a printer's colours become inks, by the profile that ships, with no more of them than it takes. */
export async function separationFor(profile: OutletProfile, { inks }: Pick<DeliveryPorts, 'inks'>) {
  const { Separation, USUAL_INK_LIMIT } = await import('../ink')
  const { inkLimit } = printRules(profile)
  return new Separation(await inks(), inkLimit === undefined ? USUAL_INK_LIMIT : inkLimit / 100)
}
