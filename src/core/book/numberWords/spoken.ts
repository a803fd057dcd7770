/** How a language says numbers in headings. Numbers are 1 to 99; each answer is a heading without its first capital. */
export interface NumberWords {
  /** "chapter one": the first way is printed, all are read in manuscripts. */
  chapter: (n: number) => readonly string[]
  part: (n: number) => readonly string[]
  /** The number alone on its line, as manuscripts have it. */
  alone: (n: number) => readonly string[]
}

/**
 * Numbers of 1 to 99 from a language's own words.
 * @param low 1 to 19 and as many more as stand by themselves, from 1 on.
 * @param tens 20, 30 … 90.
 * @param join What is said for a ten and a one.
 */
export const counting =
  (low: string, tens: string, join: (ten: string, one: string, n: number) => string) =>
  (n: number): string => {
    const [ones, by] = [low.split(' '), tens.split(' ')]
    if (n <= ones.length) return ones[n - 1]!
    const ten = by[Math.floor(n / 10) - 2]!
    return n % 10 ? join(ten, ones[(n % 10) - 1]!, n) : ten
  }

/** The first of a list's words that there are, or nothing: for ordinals that a language says only of small numbers. */
export const few =
  (words: string) =>
  (n: number): string | undefined =>
    words.split(' ')[n - 1]

/** What there is of several ways to say it. */
export const ways = (...said: (string | false | undefined)[]): string[] => said.filter((s): s is string => !!s)
