/** What somebody said, and when. */
export interface Said {
  by: string
  /** Milliseconds since 1970. */
  when: number
  words: string
}

/** What is said of words of the text, and what was answered. Without a name it is the author's own. It is never printed. */
export interface Remark {
  words: string
  by?: string
  when?: number
  answers?: readonly Said[] | null
}

/** The longest of what is said, in letters; the longest name; and the most answers. */
export const MOST_REMARK = 10_000
export const MOST_NAME = 200
const MOST_ANSWERS = 200

const isSaid = (v: unknown): v is Said => {
  const s = v as Partial<Said> | null
  return (
    !!s &&
    typeof s === 'object' &&
    typeof s.by === 'string' &&
    s.by.length <= MOST_NAME &&
    typeof s.words === 'string' &&
    s.words.length <= MOST_REMARK &&
    Number.isSafeInteger(s.when) &&
    Object.keys(s).length === 3
  )
}

/** Whether a value is a list of answers. */
export const areAnswers = (v: unknown): v is Said[] | null =>
  v === null || (Array.isArray(v) && v.length <= MOST_ANSWERS && v.every(isSaid))

/** All that was said, what began it first. `author`: who says what bears no name. */
export const threadOf = ({ words, by, when, answers }: Remark, author = ''): Said[] => [
  { by: by || author, when: when ?? 0, words },
  ...(answers ?? []).map(a => ({ ...a, by: a.by || author })),
]

/** A remark with one more answer. */
export const answered = (remark: Remark, said: Said): Remark => ({
  ...remark,
  answers: [...(remark.answers ?? []), said].slice(-MOST_ANSWERS),
})

/** Two that are said of the same words, as one: what is in both stands once, in the order of its time. */
export function joinedRemarks(a: Remark, b: Remark): Remark {
  const same = (x: Said, y: Said): boolean => x.by === y.by && x.words === y.words
  const [first, ...answers] = threadOf(a)
  for (const said of threadOf(b)) if (![first!, ...answers].some(s => same(s, said))) answers.push(said)
  const late = answers.toSorted((x, y) => x.when - y.when)
  return { ...a, ...(late.length ? { answers: late.slice(0, MOST_ANSWERS) } : {}) }
}

/** The answers that a page's attribute says; none where it says nothing in order. */
export function readAnswers(text: string | null): Said[] | null {
  if (!text) return null
  try {
    const read: unknown = JSON.parse(text)
    return areAnswers(read) ? read : null
  } catch {
    return null
  }
}
