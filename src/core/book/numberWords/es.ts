import { counting, few, type NumberWords, ways } from './spoken'

const cardinal = counting(
  'uno dos tres cuatro cinco seis siete ocho nueve diez once doce trece catorce quince dieciséis diecisiete dieciocho diecinueve veinte veintiuno veintidós veintitrés veinticuatro veinticinco veintiséis veintisiete veintiocho veintinueve',
  'veinte treinta cuarenta cincuenta sesenta setenta ochenta noventa',
  (ten, one) => `${ten} y ${one}`,
)
const masculine = few('primero segundo tercero cuarto quinto sexto séptimo octavo noveno décimo')
const feminine = few('primera segunda tercera cuarta quinta sexta séptima octava novena décima')
const apocopate = few('primer segundo tercer cuarto quinto sexto séptimo octavo noveno décimo')

export const es: NumberWords = {
  chapter: n =>
    ways(
      `capítulo ${cardinal(n)}`,
      masculine(n) && `capítulo ${masculine(n)}`,
      apocopate(n) && `${apocopate(n)} capítulo`,
    ),
  part: n => ways(feminine(n) && `${feminine(n)} parte`, `parte ${cardinal(n)}`, feminine(n) && `parte ${feminine(n)}`),
  alone: n => ways(cardinal(n)),
}
