import { bindingName, formatMoney, type OutletProfile } from '@/core/trade'
import { listed } from '@/parts/listed'

const percent = (rate: string): string => `${Math.round(Number(rate) * 10_000) / 100} %`
const some = (n: number, one: string, many = `${one}s`): string => `${n} ${n === 1 ? one : many}`

/** What an outlet asks and does, a sentence a matter, read from its profile's fields. What it pays and costs is not among it. */
export const describe = (p: OutletProfile): string[] =>
  [...printed(p), ...ebooks(p), sold(p), ...listing(p), revisions(p), review(p)].filter(s => s !== '')

function printed({ print }: OutletProfile): string[] {
  if (!print) return []
  const { bindings, finishes, proof } = print
  return [
    `Binds ${listed(bindings.map(b => `${bindingName(b.kind)} of ${b.leastPages} to ${b.mostPages} pages`))}.`,
    `Bleed ${print.bleed} on ${print.bleedEdges} edges; what means something stays ${print.safe} from the trim${print.safeWithBleed === print.safe ? '' : `, ${print.safeWithBleed} where there is bleed`}; spine text from ${print.spineTextFrom} pages, ${print.spineClear} clear.`,
    `Finished ${finishes.map(f => f.name + (f.bindings ? ` (${listed(f.bindings)})` : '')).join(', ')}. Interiors to ${print.interiorMb} MB, covers to ${print.coverMb} MB.`,
    proof
      ? `${proof.wanted ? 'Print is put on sale with an approved proof, which takes' : 'A proof takes'} ${proof.days.least} to ${proof.days.most} days.`
      : '',
  ]
}

const ebooks = ({ ebook }: OutletProfile): string[] =>
  ebook
    ? [
        `Ebooks to ${ebook.epubMb} MB; front ${ebook.frontLeast} to ${ebook.frontMost} pixels.`,
        ebook.coverPage === false ? 'The file has no page with the cover: it is put before the text there.' : '',
        ebook.contentsPage === false
          ? 'The file has no contents page: readers there show the contents by themselves.'
          : '',
        ebook.faces === false ? 'Faces stay out of the file: its readers have their own.' : '',
        !ebook.linksTo
          ? ''
          : ebook.linksTo.length
            ? `Links in the file lead to ${listed(ebook.linksTo)} alone; others become plain words.`
            : 'Links in the file that lead out of it become plain words.',
        ebook.plays?.length ? `Ebooks may have ${listed(ebook.plays)}.` : 'Ebooks have no sound and no film there.',
        ebook.shows?.greys ? 'Its readers show greys alone.' : '',
        ebook.shows?.face
          ? `They show every book in a face ${ebook.shows.face === 'serif' ? 'with' : 'without'} serifs.`
          : '',
      ]
    : []

function sold({ territories, reach }: OutletProfile): string {
  const where = listed(
    territories.map(
      t => `${t.name} in ${t.currency}${Number(t.vat) ? ` with ${percent(t.vat)} tax in the price` : ''}`,
    ),
  )
  const shops = reach
    ? ` Reaches ${listed(reach.shops)}${reach.channel ? `, its ${reach.channel}` : ''}${reach.each ? '; each can be left out' : ''}.`
    : ''
  return `Sells in ${where}.${shops}`
}

function listing({ listing: l, isbn, payees }: OutletProfile): string[] {
  return [
    l.neverChanged?.length
      ? `Once on sale it never changes ${listed(l.neverChanged.map(f => (f === 'isbn' ? 'ISBN' : f)))}.`
      : '',
    [
      l.lowContentCategories === undefined
        ? ''
        : `A low-content book has ${some(l.lowContentCategories, 'category', 'categories')} at most.`,
      { sold: '', apart: 'Books for adults only stand apart.', refused: 'Books for adults only are refused.' }[
        l.adults!
      ],
      isbn?.includes('given') ? 'Takes an ISBN of your own, or gives one.' : '',
      payees ? 'Pays several payees.' : '',
    ]
      .filter(Boolean)
      .join(' '),
  ]
}

function revisions({ revisions: { fee, freeAYear, reachFee }, currency }: OutletProfile): string {
  const cost = fee
    ? `${freeAYear ? `${some(freeAYear, 'revision')} a calendar year ${freeAYear === 1 ? 'is' : 'are'} free, then` : 'A revision costs'} ${formatMoney(fee, currency)}.`
    : 'Revisions are free.'
  return reachFee ? `${cost} A change of reach costs ${formatMoney(reachFee, currency)}.` : cost
}

const review = ({ review: { first, revision } }: OutletProfile): string =>
  `Review takes ${first.least} to ${first.most} hours, a revision ${revision.least} to ${revision.most}.`
