import type { PanelName } from '../book'
import { areaOf, ELSEWHERE, type Flat, type Rect } from '../cover'
import { colourFor, formatLength, parseIsbn, type PressColour, printRules } from '../trade'
import { coarse } from './coarse'
import type { Finding } from './finding'
import type { Rule } from './pageRules'
import { byPlay } from './play'
import type { Subject } from './subject'

/**
 * A cover, or a front, that was made elsewhere: its size within the printer's play, what it keeps clear, how fine it is, its fonts,
 * what is seen through, its colours.
 */

type Elsewhere = NonNullable<NonNullable<NonNullable<Subject['print']>['cover']>['elsewhere']>

const on = (area?: Rect): Finding['place'] => ({ kind: 'cover', piece: ELSEWHERE, ...(area ? { area } : {}) })
const called = ({ what, sheets }: Elsewhere, at = 0): string =>
  what === 'front' ? 'front' : sheets.length === 1 ? 'wrap' : at ? 'wrap’s front' : 'wrap’s back'
const inches = (pt: number): string => formatLength(Math.abs(pt), 'in')

/** A rule that is asked only where something was made elsewhere. */
const where =
  (rule: (elsewhere: Elsewhere, s: Subject, flat: Flat) => Finding[]): Rule =>
  s => {
    const cover = s.print?.cover
    return cover?.elsewhere ? rule(cover.elsewhere, s, cover.flat) : []
  }

/** It has as many sheets as the printer asks for, each as large as the flat asks, within the printer's play. Where the spine can be told it is all that a wrap is off by, and its art can follow. */
export const elsewhereSize: Rule = where((elsewhere, { profile }, flat) => {
  const apart = elsewhere.what === 'wrap' && elsewhere.sheets.length < flat.sheets.length
  const missing: Finding[] = apart
    ? [
        {
          rule: 'size',
          severity: 'stop',
          place: on(),
          message: 'This printer takes back and front apart; the wrap is one sheet.',
          remedy: 'tell the designer',
        },
      ]
    : []
  const off = elsewhere.sheets.flatMap((sheet, i) => {
    const widened = sheet.slices.length > 1
    return (['width', 'height'] as const).flatMap((way): Finding[] => {
      const off = way === 'width' && widened ? 0 : sheet.off[way]
      const severity = byPlay(profile, Math.abs(off))
      if (!severity) return []
      const than = way === 'width' ? (off > 0 ? 'wider' : 'narrower') : off > 0 ? 'higher' : 'lower'
      const message = `The ${called(elsewhere, i)} is ${inches(off)} ${than} than the flat: ${inches(sheet.trim[way] + off)} as it is cut, and ${inches(sheet.trim[way])} are asked.`
      const remedy = way === 'width' && sheet.spine !== undefined ? 'follow the spine' : 'tell the designer'
      return [{ rule: 'size', severity, place: on(), amount: inches(off), message, remedy }]
    })
  })
  return [...missing, ...off]
})

/** What is printed reaches past where it is cut: there is as much over as the printer asks, and it is not bare. */
const elsewhereBleed: Rule = where((elsewhere, { profile, print }) => {
  const short = elsewhere.sheets.flatMap((sheet, i): Finding[] => {
    const lacks = (['top', 'right', 'bottom', 'left'] as const).filter(edge => sheet.bleed[edge] > 0)
    const [edge, by] = lacks
      .map(e => [e, sheet.bleed[e] - sheet.made.over[e]] as const)
      .reduce((most, next) => (next[1] > most[1] ? next : most), ['top', 0] as const)
    const severity = byPlay(profile, by)
    if (!severity) return []
    const over = sheet.made.over[edge]
    const reaches = over > 0 ? `reaches ${inches(over)} past` : 'ends at'
    const message = `The ${called(elsewhere, i)} ${reaches} the ${edge} edge, where ${inches(sheet.bleed[edge])} are cut off.`
    return [{ rule: 'bleed', severity, place: on(), amount: inches(by), message, remedy: 'make it with its bleed' }]
  })
  if (short.length) return short
  return (print?.examined?.bare ?? [])
    .filter(b => b.share > FEW)
    .map(({ edge, share, box }) => ({
      rule: 'bleed',
      severity: 'mend',
      place: on(box),
      amount: percent(share),
      message: `Along ${percent(share)} of the ${edge} edge what is drawn on the ${called(elsewhere)} stops where it is cut: a line of paper may show there.`,
      remedy: 'make it with its bleed',
    }))
})

/** So much of an edge or a fold may be chance. */
const FEW = 0.01
const percent = (share: number): string => `${Math.max(1, Math.round(share * 100))} %`

/** Its pictures are fine enough; each that is not is found where it stands. */
const elsewhereFine: Rule = where((_, { profile, print }) =>
  (print?.examined?.pictures ?? []).flatMap(({ ppi, box }): Finding[] => {
    const found = coarse(ppi, printRules(profile).leastPpi)
    return found ? [{ rule: 'cover resolution', place: on(box), ...found }] : []
  }),
)

/** Its fonts are in it. */
const elsewhereFonts: Rule = where((elsewhere, { print }) => {
  const { fonts = [] } = print?.examined ?? {}
  if (!fonts.length) return []
  const message = `The ${called(elsewhere)} prints with what is not in it: ${fonts.join(', ')}.`
  return [
    {
      rule: 'fonts',
      severity: 'stop',
      place: on(),
      amount: fonts.join(', '),
      message,
      remedy: 'save the fonts with it',
    },
  ]
})

/** Nothing in it is seen through, where the printer's files know no such thing. */
const elsewhereFlat: Rule = where((elsewhere, { profile, print }) =>
  print?.examined?.seenThrough && printRules(profile).pdf !== 'plain'
    ? [
        {
          rule: 'transparency',
          severity: 'stop',
          place: on(),
          message: `Something on the ${called(elsewhere)} is seen through, which PDF/X-1a knows nothing of.`,
          remedy: 'flatten it',
        },
      ]
    : [],
)

const NAMES: Record<PressColour, string> = { grey: 'greys', rgb: 'RGB', cmyk: 'CMYK', spot: 'an ink of its own' }

/** Its colours are those that the printer takes. Pictures become what is asked when the file is made; a PDF goes out as it is. */
const elsewhereColours: Rule = where((elsewhere, { profile, print }) => {
  const inks = colourFor(profile) === 'cmyk'
  const colours = print?.examined?.colours ?? []
  const strange = colours.filter(c => c === 'spot' || c === (inks ? 'rgb' : 'cmyk'))
  if (!strange.length) return []
  const said = strange.map(c => NAMES[c]).join(' and ')
  return [
    {
      rule: 'colour',
      severity: inks && strange.includes('rgb') && printRules(profile).pdf !== 'plain' ? 'stop' : 'remark',
      place: on(),
      amount: said,
      message: `Colours on the ${called(elsewhere)} are said in ${said}; this printer takes ${inks ? 'CMYK' : 'RGB'}, and turns them into it in its own way.`,
      remedy: 'save it in its colours',
    },
  ]
})

/** A line's accents and a hair of its ends may reach over a zone, points. */
const OPTICAL = 0.5

const panelAt = ({ panels }: Flat, { x, width }: Rect): PanelName => {
  const middle = x + width / 2
  if (middle < panels.back.x + panels.back.width) return 'back'
  return middle < panels.front.x ? 'spine' : 'front'
}

/** Its words stand in what is safe, and on the spine only where there is room for them. */
const elsewhereWords: Rule = where((elsewhere, { profile, print }, flat) => {
  const worst = new Map<PanelName, { by: number; area: Rect; text: string }>()
  for (const { text, box } of print?.examined?.words ?? []) {
    const panel = panelAt(flat, box)
    const zone = areaOf(flat, { panel, within: 'safe' })
    const by = zone ? outside(box, zone) - OPTICAL : Infinity
    if (!byPlay(profile, by) || by <= (worst.get(panel)?.by ?? 0)) continue
    worst.set(panel, { by, area: box, text })
  }
  return [...worst].map(([panel, { by, area, text }]): Finding => {
    const said = text.length > 40 ? `${text.slice(0, 39)}…` : text
    const where = Number.isFinite(by)
      ? `stands ${inches(by)} outside the safe zone of the ${panel}`
      : 'stands on a spine that is too thin for words'
    const severity = byPlay(profile, by)!
    const message = `On the ${called(elsewhere)} “${said}” ${where}.`
    return { rule: 'cover safe zone', severity, place: on(area), message, remedy: 'tell the designer' }
  })
})

const overlap = (a: Rect, b: Rect): boolean =>
  a.x < b.x + b.width && b.x < a.x + a.width && a.y < b.y + b.height && b.y < a.y + a.height

const outside = (box: Rect, zone: Rect): number =>
  Math.max(
    zone.x - box.x,
    zone.y - box.y,
    box.x + box.width - zone.x - zone.width,
    box.y + box.height - zone.y - zone.height,
  )

/** Where its art follows the spine, nothing is drawn beside the folds that would be seen to grow. */
const elsewhereFolds: Rule = where((elsewhere, { print }) => {
  const folds = print?.examined?.folds
  const [sheet] = elsewhere.sheets
  if (!folds || !sheet || sheet.slices.length < 2 || Math.abs(sheet.off.width) < OPTICAL) return []
  return (['left', 'right'] as const)
    .filter(side => folds[side] < 1 - FEW)
    .map(side => ({
      rule: 'fold',
      severity: 'mend',
      place: on(sheet.slices[side === 'left' ? 1 : 3]!.to),
      amount: percent(1 - folds[side]),
      message: `Along ${percent(1 - folds[side])} of the ${side} fold something is drawn that is made ${sheet.off.width < 0 ? 'wider' : 'narrower'} with the spine.`,
      remedy: 'look at the fold',
    }))
})

/** What the barcode is laid over is no barcode, and no words. */
const elsewhereBarcode: Rule = where(({ what }, { print }) => {
  const { cover, examined } = print!
  if (what !== 'wrap' || !cover?.barcode || !examined) return []
  const { busy, words } = examined
  const under = words.find(w => overlap(w.box, cover.barcode!))
  if (busy <= BUSY && !under) return []
  return [
    {
      rule: 'barcode',
      severity: 'mend',
      place: on(cover.barcode),
      message: `Letters or bars stand where the barcode is laid over them.`,
      remedy: 'say whose barcode',
    },
  ]
})
const BUSY = 0.04

/** A barcode that is in it already can be read, and says this edition's ISBN. */
const elsewhereReads: Rule = where((elsewhere, { print }) => {
  const { examined, isbn } = print!
  const said = examined?.barcode
  if (said === undefined) return []
  const of = { rule: 'barcode', place: on() } as const
  if (said === 'none')
    return [{ ...of, severity: 'mend', message: 'No barcode could be read on the back.', remedy: 'say whose barcode' }]
  const wanted = isbn && parseIsbn(isbn)
  if (!wanted || wanted === said) return []
  const message = `The barcode on the ${called(elsewhere)} says ${said}; the ISBN of this edition is ${wanted}.`
  return [{ ...of, severity: 'stop', amount: said, message, remedy: 'tell the designer' }]
})

/** What of it could not be read is not vouched for. */
const elsewhereUnread: Rule = where((elsewhere, { print }) =>
  (print?.examined?.unread ?? []).map(why => ({
    rule: 'made elsewhere',
    severity: 'stop',
    place: on(),
    message: `The ${called(elsewhere)} could not be looked over: ${why}.`,
    remedy: 'make the page anew',
  })),
)

/** All of them, in the order in which they are read. */
export const elsewhereRules: Rule[] = [
  elsewhereSize,
  elsewhereBleed,
  elsewhereWords,
  elsewhereFine,
  elsewhereFonts,
  elsewhereFlat,
  elsewhereColours,
  elsewhereFolds,
  elsewhereBarcode,
  elsewhereReads,
  elsewhereUnread,
]
