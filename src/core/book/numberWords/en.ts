import type { NumberWords } from './spoken'

const ones = [
  '',
  'One',
  'Two',
  'Three',
  'Four',
  'Five',
  'Six',
  'Seven',
  'Eight',
  'Nine',
  'Ten',
  'Eleven',
  'Twelve',
  'Thirteen',
  'Fourteen',
  'Fifteen',
  'Sixteen',
  'Seventeen',
  'Eighteen',
  'Nineteen',
]
const tens = ['', '', 'Twenty', 'Thirty', 'Forty', 'Fifty', 'Sixty', 'Seventy', 'Eighty', 'Ninety']

/** 1 to 999 in English words: 42 -> "Forty-Two". Others as figures. */
export function numberInWords(n: number): string {
  if (n < 1 || n > 999 || !Number.isInteger(n)) return String(n)
  if (n >= 100) return ones[Math.floor(n / 100)]! + ' Hundred' + (n % 100 ? ' and ' + numberInWords(n % 100) : '')
  return n < 20 ? ones[n]! : tens[Math.floor(n / 10)]! + (n % 10 ? '-' + ones[n % 10]! : '')
}

export const en: NumberWords = {
  chapter: n => [`Chapter ${numberInWords(n)}`],
  part: n => [`Part ${numberInWords(n)}`],
  alone: n => [numberInWords(n)],
}
