import { counting, type NumberWords, ways } from './spoken'

const stems = 'ensimmäinen toinen kolmas neljäs viides kuudes seitsemäs kahdeksas yhdeksäs kymmenes'
/** Within another word, first and second are said otherwise. */
const joined = (n: number): string => ({ 1: 'yhdes', 2: 'kahdes' })[n] ?? stems.split(' ')[n - 1]!
const ordinal = counting(
  [...stems.split(' '), ...[1, 2, 3, 4, 5, 6, 7, 8, 9].map(n => `${joined(n)}toista`)].join(' '),
  [2, 3, 4, 5, 6, 7, 8, 9].map(n => `${joined(n)}kymmenes`).join(' '),
  (ten, _one, n) => `${ten}${n % 10 === 1 ? 'ensimmäinen' : joined(n % 10)}`,
)
const cardinal = counting(
  'yksi kaksi kolme neljä viisi kuusi seitsemän kahdeksan yhdeksän kymmenen yksitoista kaksitoista kolmetoista neljätoista viisitoista kuusitoista seitsemäntoista kahdeksantoista yhdeksäntoista',
  'kaksikymmentä kolmekymmentä neljäkymmentä viisikymmentä kuusikymmentä seitsemänkymmentä kahdeksankymmentä yhdeksänkymmentä',
  (ten, one) => ten + one,
)

export const fi: NumberWords = {
  chapter: n => [`${ordinal(n)} luku`, `luku ${cardinal(n)}`],
  part: n => [`${ordinal(n)} osa`, `osa ${cardinal(n)}`],
  alone: n => ways(cardinal(n)),
}
