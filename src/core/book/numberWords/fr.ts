import { counting, type NumberWords, ways } from './spoken'

const below70 = counting(
  'un deux trois quatre cinq six sept huit neuf dix onze douze treize quatorze quinze seize dix-sept dix-huit dix-neuf',
  'vingt trente quarante cinquante soixante',
  (ten, one) => (one === 'un' ? `${ten} et un` : `${ten}-${one}`),
)
/** From 70 on, the ones of 60 and of 80 go to nineteen. */
const cardinal = (n: number): string => {
  if (n < 70) return below70(n)
  if (n < 80) return n === 71 ? 'soixante et onze' : `soixante-${below70(n - 60)}`
  return n === 80 ? 'quatre-vingts' : `quatre-vingt-${below70(n - 80)}`
}
const ordinal = (n: number): string =>
  n === 1
    ? 'première'
    : `${cardinal(n)
        .replace(/(vingt)s$|e$/, '$1')
        .replace(/cinq$/, 'cinqu')
        .replace(/neuf$/, 'neuv')}ième`

export const fr: NumberWords = {
  chapter: n => ways(n === 1 && 'chapitre premier', `chapitre ${cardinal(n)}`),
  part: n => ways(`${ordinal(n)} partie`, n === 1 ? 'partie une' : `partie ${cardinal(n)}`),
  alone: n => ways(cardinal(n)),
}
