import { counting, type NumberWords } from './spoken'

/** Of a neuter noun, as both chapter and part are. */
const ordinal = counting(
  'πρώτο δεύτερο τρίτο τέταρτο πέμπτο έκτο έβδομο όγδοο ένατο δέκατο ενδέκατο δωδέκατο',
  'εικοστό τριακοστό τεσσαρακοστό πεντηκοστό εξηκοστό εβδομηκοστό ογδοηκοστό ενενηκοστό',
  (ten, one) => `${ten} ${one}`,
)
const said = (n: number): string => (n > 12 && n < 20 ? `δέκατο ${ordinal(n - 10)}` : ordinal(n))

export const el: NumberWords = {
  chapter: n => [`κεφάλαιο ${said(n)}`, `${said(n)} κεφάλαιο`],
  part: n => [`μέρος ${said(n)}`, `${said(n)} μέρος`],
  alone: n => [said(n)],
}
