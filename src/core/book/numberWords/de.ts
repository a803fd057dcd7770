import { counting, type NumberWords, ways } from './spoken'

const cardinal = counting(
  'eins zwei drei vier fünf sechs sieben acht neun zehn elf zwölf dreizehn vierzehn fünfzehn sechzehn siebzehn achtzehn neunzehn',
  'zwanzig dreißig vierzig fünfzig sechzig siebzig achtzig neunzig',
  (ten, one) => `${one === 'eins' ? 'ein' : one}und${ten}`,
)
const irregular: Record<number, string> = { 1: 'erst', 3: 'dritt', 7: 'siebt', 8: 'acht' }
const ordinal = (n: number): string => irregular[n] ?? `${cardinal(n)}${n < 20 ? 't' : 'st'}`

export const de: NumberWords = {
  chapter: n => [`Kapitel ${cardinal(n)}`, `${ordinal(n)}es Kapitel`],
  part: n => [`Teil ${cardinal(n)}`, `${ordinal(n)}er Teil`, `Buch ${cardinal(n)}`, `${ordinal(n)}es Buch`],
  alone: n => ways(cardinal(n)),
}
