import { counting, few, type NumberWords, ways } from './spoken'

/** Written on one side of the ocean and on the other alike, but for 16, 17 and 19. */
const either = counting(
  'um dois três quatro cinco seis sete oito nove dez onze doze treze catorze quinze dezesseis dezessete dezoito dezenove',
  'vinte trinta quarenta cinquenta sessenta setenta oitenta noventa',
  (ten, one) => `${ten} e ${one}`,
)
const european: Record<number, string> = { 16: 'dezasseis', 17: 'dezassete', 19: 'dezanove' }
const brazilian: Record<number, string> = { 14: 'quatorze' }
const masculine = few('primeiro segundo terceiro quarto quinto sexto sétimo oitavo nono décimo')
const feminine = few('primeira segunda terceira quarta quinta sexta sétima oitava nona décima')

const said = (spelt: (n: number) => string): NumberWords => ({
  chapter: n =>
    ways(
      `capítulo ${spelt(n)}`,
      ...[either(n), european[n], brazilian[n]].map(w => w && w !== spelt(n) && `capítulo ${w}`),
      masculine(n) && `capítulo ${masculine(n)}`,
      masculine(n) && `${masculine(n)} capítulo`,
    ),
  part: n => ways(feminine(n) && `${feminine(n)} parte`, `parte ${spelt(n)}`, feminine(n) && `parte ${feminine(n)}`),
  alone: n => ways(spelt(n)),
})

export const pt = said(either)
/** Portuguese as it is spelt in Europe. */
export const ptEurope = said(n => european[n] ?? either(n))
