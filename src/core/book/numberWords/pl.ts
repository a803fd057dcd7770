import { counting, type NumberWords } from './spoken'

const masculine = counting(
  'pierwszy drugi trzeci czwarty piąty szósty siódmy ósmy dziewiąty dziesiąty jedenasty dwunasty trzynasty czternasty piętnasty szesnasty siedemnasty osiemnasty dziewiętnasty',
  'dwudziesty trzydziesty czterdziesty pięćdziesiąty sześćdziesiąty siedemdziesiąty osiemdziesiąty dziewięćdziesiąty',
  (ten, one) => `${ten} ${one}`,
)
const feminine = (n: number): string =>
  masculine(n)
    .split(' ')
    .map(w => (w === 'trzeci' ? 'trzecia' : w === 'drugi' ? 'druga' : w.replace(/y$/, 'a')))
    .join(' ')

export const pl: NumberWords = {
  chapter: n => [`rozdział ${masculine(n)}`, `${masculine(n)} rozdział`],
  part: n => [`część ${feminine(n)}`, `${feminine(n)} część`],
  alone: n => [masculine(n)],
}
