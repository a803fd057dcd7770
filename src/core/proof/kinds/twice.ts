import { primaryTag } from '@/core/book'
import { isCapital } from '../readLine'
import type { ProofKind } from '../doubt'

/** Words that a language sets beside themselves. */
const allowed: Record<string, readonly string[]> = {
  en: ['had', 'that'],
  de: ['die', 'der', 'das', 'sie', 'ihnen'],
  fr: ['nous', 'vous'],
  nl: ['die', 'dat', 'je'],
  da: ['den', 'der', 'det'],
  sv: ['det', 'den'],
}

/** The same word twice, one behind the other. */
export const twice: ProofKind = {
  id: 'twice',
  name: ['word twice', 'words twice'],
  looksAt: 'The same word stands twice, one behind the other.',
  look: ({ text, words }, language) =>
    words.flatMap((word, i) => {
      const before = words[i - 1]
      if (!before || before.form.toLowerCase() !== word.form.toLowerCase()) return []
      if (/\S/.test(text.slice(before.to, word.from)) || text.slice(before.to, word.from).includes('\n')) return []
      if (allowed[primaryTag(language)]?.includes(word.form.toLowerCase())) return []
      if (isCapital(before.form[0]!) && isCapital(word.form[0]!)) return []
      const once = text.slice(before.from, before.to)
      return [
        { from: before.from, to: word.to, says: `“${once}” twice`, remedies: [once], about: word.form.toLowerCase() },
      ]
    }),
}
