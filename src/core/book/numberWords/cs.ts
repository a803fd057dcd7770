import { counting, type NumberWords } from './spoken'

/** Of a feminine noun, as both chapter and part are. */
const ordinal = counting(
  'první druhá třetí čtvrtá pátá šestá sedmá osmá devátá desátá jedenáctá dvanáctá třináctá čtrnáctá patnáctá šestnáctá sedmnáctá osmnáctá devatenáctá',
  'dvacátá třicátá čtyřicátá padesátá šedesátá sedmdesátá osmdesátá devadesátá',
  (ten, one) => `${ten} ${one}`,
)

export const cs: NumberWords = {
  chapter: n => [`kapitola ${ordinal(n)}`, `${ordinal(n)} kapitola`],
  part: n => [`část ${ordinal(n)}`, `${ordinal(n)} část`],
  alone: n => [ordinal(n)],
}
