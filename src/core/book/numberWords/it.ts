import { counting, few, type NumberWords, ways } from './spoken'

const cardinal = counting(
  'uno due tre quattro cinque sei sette otto nove dieci undici dodici tredici quattordici quindici sedici diciassette diciotto diciannove',
  'venti trenta quaranta cinquanta sessanta settanta ottanta novanta',
  (ten, one) => (/^[uo]/.test(one) ? ten.slice(0, -1) : ten) + (one === 'tre' ? 'tré' : one),
)
const masculine = few('primo secondo terzo quarto quinto sesto settimo ottavo nono decimo')
const feminine = few('prima seconda terza quarta quinta sesta settima ottava nona decima')

export const it: NumberWords = {
  chapter: n =>
    ways(
      `capitolo ${cardinal(n)}`,
      masculine(n) && `capitolo ${masculine(n)}`,
      masculine(n) && `${masculine(n)} capitolo`,
    ),
  part: n => ways(feminine(n) && `parte ${feminine(n)}`, `parte ${cardinal(n)}`, feminine(n) && `${feminine(n)} parte`),
  alone: n => ways(cardinal(n)),
}
