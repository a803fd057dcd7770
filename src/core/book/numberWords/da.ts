import { counting, few, type NumberWords, ways } from './spoken'

const cardinal = counting(
  'et to tre fire fem seks syv otte ni ti elleve tolv tretten fjorten femten seksten sytten atten nitten',
  'tyve tredive fyrre halvtreds tres halvfjerds firs halvfems',
  (ten, one) => `${one === 'et' ? 'en' : one}og${ten}`,
)
const ordinal = few('første andet tredje fjerde femte sjette syvende ottende niende tiende ellevte tolvte')
/** Of a noun of common gender. */
const common = (n: number): string | undefined => (n === 2 ? 'anden' : ordinal(n))

export const da: NumberWords = {
  chapter: n => ways(`kapitel ${cardinal(n)}`, ordinal(n) && `${ordinal(n)} kapitel`),
  part: n => ways(`del ${cardinal(n)}`, common(n) && `${common(n)} del`),
  alone: n => ways(cardinal(n)),
}
