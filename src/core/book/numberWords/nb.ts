import { counting, few, type NumberWords, ways } from './spoken'

const cardinal = counting(
  'én to tre fire fem seks sju åtte ni ti elleve tolv tretten fjorten femten seksten sytten atten nitten',
  'tjue tretti førti femti seksti sytti åtti nitti',
  (ten, one) => ten + one,
)
const ordinal = few('første andre tredje fjerde femte sjette sjuende åttende niende tiende ellevte tolvte')

export const nb: NumberWords = {
  chapter: n => ways(`kapittel ${cardinal(n)}`, ordinal(n) && `${ordinal(n)} kapittel`),
  part: n => ways(`del ${cardinal(n)}`, ordinal(n) && `${ordinal(n)} del`),
  alone: n => ways(cardinal(n)),
}
