import { counting, few, type NumberWords, ways } from './spoken'

const cardinal = counting(
  'een twee drie vier vijf zes zeven acht negen tien elf twaalf dertien veertien vijftien zestien zeventien achttien negentien',
  'twintig dertig veertig vijftig zestig zeventig tachtig negentig',
  (ten, one) => `${one}${one.endsWith('e') ? 'ën' : 'en'}${ten}`,
)
const ordinal = few('eerste tweede derde vierde vijfde zesde zevende achtste negende tiende elfde twaalfde')

export const nl: NumberWords = {
  chapter: n => ways(`hoofdstuk ${cardinal(n)}`, ordinal(n) && `${ordinal(n)} hoofdstuk`),
  part: n => ways(`deel ${cardinal(n)}`, ordinal(n) && `${ordinal(n)} deel`),
  alone: n => ways(cardinal(n)),
}
