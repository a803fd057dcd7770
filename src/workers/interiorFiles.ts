import { authorLine, labels, roles, shortName, slugOf } from '@/core/book'
import { BLACK, type PageMarks, pageSvg } from '@/core/marks'
import { type Interior, pagesOfSection, proofPages, templates } from '@/core/pages'
import { Fault, formatLength, formatTrim, insideMargin, printRules, pts } from '@/core/trade'
import { TextStyle } from '@/core/type'
import { draw, withBleed } from './draw'
import { bookOf, chainOf, type OpenedBook } from './openBooks'
import { shelf } from './fontShelf'
import { DATE, loadedSubsetter, pdf, pictureSource } from './pdfPorts'
import { tell } from './telling'

/** What an interior may be saved as, beside the package that goes to an outlet. */
export type InteriorFileKind = 'press' | 'X-4' | 'X-1a' | 'proof' | 'mail' | 'tagged'

/** Pixels an inch that a screen needs. */
const MAIL_PPI = 110

/** Places for the PDF's outline: what the contents list, and the contents and title page themselves. */
export function outlineOf(b: OpenedBook, interior: Interior): { title: string; page: number }[] {
  const names = labels(b.text.sections)
  return b.text.sections
    .filter(
      s => interior.starts.has(s.id) && (roles[s.role].listed || s.role === 'contents' || s.role === 'title-page'),
    )
    .map(s => ({ title: shortName(names.get(s.id)!) || b.book.data.title, page: interior.starts.get(s.id)! }))
}

/** Pixels an inch of a blank leaf as a picture. */
const SHEET_PPI = 300

/** Blank templates for an edition at its page count, as PDF, SVG and PNG in one ZIP. */
export async function templateFiles(bookId: string, editionId: string): Promise<{ name: string; bytes: Uint8Array }> {
  const b = bookOf(bookId)
  const edition = b.book.editions.find(e => e.id === editionId)!
  const chain = chainOf(bookId, editionId)
  const [interior, profile, spec, pages] = [
    await chain.get('interior'),
    await chain.get('profile'),
    await chain.get('spec'),
    await chain.get('pages'),
  ]
  const rules = printRules(profile)
  const inside = insideMargin(profile, spec.binding, pages)
  const style = new TextStyle([await shelf.face('figtree/regular')], 7.5, [], 'en', BLACK)
  const trim = formatTrim(edition.trim ?? '')
  const made = templates(
    {
      width: interior.spec.width,
      height: interior.spec.height,
      bleed: pts(rules.bleed),
      bleedsInside: rules.bleedEdges === 4,
      safe: pts(rules.safeWithBleed),
      inside,
    },
    {
      trim: `black: the trim, ${trim}`,
      bleed: `red: the bleed, ${rules.bleed} past the trim`,
      safe: `blue: what means something stays inside, ${rules.safeWithBleed} from the trim`,
      inside: `shaded: the inside margin at ${pages} pages, ${formatLength(inside, 'in')}`,
    },
    style,
  )
  const { pdfBytes } = await pdf()
  const { zipSync } = await import('fflate')
  const title = `Blank pages, ${trim}`
  const files: Record<string, Uint8Array> = {}
  const file = async (name: string, sheets: PageMarks[]): Promise<void> => {
    files[`${name}.pdf`] = await pdfBytes(
      sheets,
      { title, language: 'en', date: DATE, grey: false },
      await loadedSubsetter(),
      pictureSource,
    )
  }
  await file('either-side', [made[0]!.page])
  await file('left-and-right', [made[2]!.page, made[1]!.page])
  for (const t of made) {
    const name = t.name.replace(' ', '-')
    files[`${name}.svg`] = new TextEncoder().encode(pageSvg(t.page, `${title}, ${t.name}`))
    files[`${name}.png`] = new Uint8Array(
      await (
        await draw(t.page, SHEET_PPI / 72, () => undefined, withBleed(t.page), '#ffffff').convertToBlob({
          type: 'image/png',
        })
      ).arrayBuffer(),
    )
  }
  return {
    name: `blank-pages-${trim.replace(/[^0-9A-Za-z.]+/g, '-').replace(/^-|-$/g, '')}.zip`,
    bytes: zipSync(files, { level: 6, mtime: new Date(2026, 0, 1) }),
  }
}

/** The interior of an edition as a PDF of a kind; of one section only, where one is named. Pictures keep at most `ppi` pixels an inch. */
export async function interiorFile(
  bookId: string,
  editionId: string,
  kind: InteriorFileKind,
  section?: string,
  ppi?: number,
): Promise<{ name: string; bytes: Uint8Array }> {
  const b = bookOf(bookId)
  const edition = b.book.editions.find(e => e.id === editionId)!
  const interior = await chainOf(bookId, editionId).get('interior')
  const { data } = b.book
  let pages: PageMarks[] = interior.pages
  let outline: { title: string; page: number }[] | undefined = outlineOf(b, interior)
  let part = ''
  if (section) {
    const range = pagesOfSection(interior, section)
    if (!range) throw new Fault('no-pages', 'This section has no pages of its own.')
    pages = pages.slice(range[0], range[1] + 1)
    outline = undefined
    part = `-page-${pages[0]!.label}`
  }
  if (kind === 'proof') {
    const style = new TextStyle([await shelf.face('figtree/regular')], 7, [], data.language, BLACK)
    const trim = formatTrim(edition.trim ?? '')
    const set = pages
    pages = proofPages(set, p => `Proof, not for press · ${data.title} · ${trim} · page ${p.label}`, style)
  }
  const { pdfBytes, PRESS_PPI, tagSource } = await pdf()
  const bytes = await pdfBytes(
    pages,
    {
      title: data.title,
      author: authorLine(data),
      language: data.language,
      date: DATE,
      grey: edition.ink !== 'colour',
      ppi: kind === 'mail' ? MAIL_PPI : (ppi ?? PRESS_PPI),
      ...(kind === 'X-1a' || kind === 'X-4' ? { preparedFor: kind } : {}),
      ...(kind === 'tagged' ? { tags: tagSource(b.text.sections) } : {}),
      ...(outline ? { outline, sectionPages: interior.starts } : {}),
    },
    await loadedSubsetter(),
    pictureSource,
    tell,
  )
  const slug = slugOf(data.title, 'book')
  return {
    name: `${slug}${part}${{ press: '-interior', 'X-4': '-interior-x4', 'X-1a': '-interior-x1a', proof: '-proof', mail: '-small', tagged: '-tagged' }[kind]}.pdf`,
    bytes,
  }
}
