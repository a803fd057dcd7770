import { counting, type NumberWords } from './spoken'

const low =
  'первая вторая третья четвёртая пятая шестая седьмая восьмая девятая десятая одиннадцатая двенадцатая тринадцатая четырнадцатая пятнадцатая шестнадцатая семнадцатая восемнадцатая девятнадцатая'
const whole = counting(
  low,
  'двадцатая тридцатая сороковая пятидесятая шестидесятая семидесятая восьмидесятая девяностая',
  ten => ten,
)
/** Of a feminine noun, as both chapter and part are; before a one, the ten is a cardinal. */
const joined = counting(
  low,
  'двадцать тридцать сорок пятьдесят шестьдесят семьдесят восемьдесят девяносто',
  (ten, one) => `${ten} ${one}`,
)
const ordinal = (n: number): string => (n % 10 ? joined(n) : whole(n))

export const ru: NumberWords = {
  chapter: n => [`глава ${ordinal(n)}`, `${ordinal(n)} глава`],
  part: n => [`часть ${ordinal(n)}`, `${ordinal(n)} часть`],
  alone: n => [ordinal(n)],
}
