import { type ReadLine, beginsThere, isCapital } from './readLine'

/** Where words of a section stand: by form, as line, beginning and end, one after another. */
export interface SectionTally {
  places: ReadonlyMap<string, readonly number[]>
  /** Of forms with a capital: how often one stands inside a sentence. */
  inside: ReadonlyMap<string, number>
  /** Forms alike but for their capitals: how many, and the first one's line, beginning and end. Names inside sentences are none. */
  low: ReadonlyMap<string, LowForm>
  /** Runs of three words with nothing but spaces between, in small letters, and how often. */
  threes: ReadonlyMap<string, number>
  words: number
}

export interface LowForm {
  count: number
  at: readonly [line: number, from: number, to: number]
}

/** Counts a section, by its lines in order; their numbers come with them. */
export function tallyOf(lines: readonly (readonly [number: number, line: ReadLine])[]): SectionTally {
  const places = new Map<string, number[]>()
  const inside = new Map<string, number>()
  const threes = new Map<string, number>()
  let words = 0
  for (const [number, { text, words: all }] of lines) {
    let [second, first] = ['', '']
    let end = 0
    for (const { form, from, to } of all) {
      const there = places.get(form)
      if (there) there.push(number, from, to)
      else places.set(form, [number, from, to])
      if (isCapital(form[0]!) && !beginsThere(text, from)) inside.set(form, (inside.get(form) ?? 0) + 1)
      // A phrase is words with nothing but spaces between.
      if (/\S/.test(text.slice(end, from))) second = first = ''
      const low = form.toLowerCase()
      if (first) {
        const three = `${first} ${second} ${low}`
        threes.set(three, (threes.get(three) ?? 0) + 1)
      }
      first = second
      second = low
      end = to
    }
    words += all.length
  }
  return { places, inside, low: lowForms(places, inside), threes, words }
}

function lowForms(places: SectionTally['places'], inside: SectionTally['inside']): Map<string, LowForm> {
  const low = new Map<string, LowForm>()
  for (const [form, at] of places) {
    if (inside.has(form)) continue
    const word = form.toLowerCase()
    const there = low.get(word)
    low.set(word, {
      count: (there?.count ?? 0) + at.length / 3,
      at: there?.at ?? [at[0]!, at[1]!, at[2]!],
    })
  }
  return low
}

/** What the sections of a book count together; kept true by what comes and what goes. */
export class BookTally {
  /** Every form, and how often it stands in the book. */
  readonly forms = new Map<string, number>()
  readonly inside = new Map<string, number>()
  readonly low = new Map<string, number>()
  readonly threes = new Map<string, number>()
  words = 0
  private of = new Map<string, SectionTally>()
  /** The sections, in the book's order. */
  order: readonly string[] = []

  /** A section's words are these from now on; none, where it has gone. */
  put(section: string, tally: SectionTally | undefined): void {
    const was = this.of.get(section)
    if (was === tally) return
    if (was) this.add(was, -1)
    if (tally) {
      this.add(tally, 1)
      this.of.set(section, tally)
    } else this.of.delete(section)
  }

  section = (id: string): SectionTally | undefined => this.of.get(id)

  count = (form: string): number => this.forms.get(form) ?? 0

  /** Where a form stands in the book, in its order. */
  placesOf(form: string): { section: string; line: number; from: number; to: number }[] {
    return this.order.flatMap(section => {
      const at = this.of.get(section)?.places.get(form) ?? []
      const out = []
      for (let i = 0; i < at.length; i += 3) out.push({ section, line: at[i]!, from: at[i + 1]!, to: at[i + 2]! })
      return out
    })
  }

  private add(tally: SectionTally, sign: 1 | -1): void {
    const into = (counts: Map<string, number>, form: string, n: number): void => {
      const now = (counts.get(form) ?? 0) + sign * n
      if (now) counts.set(form, now)
      else counts.delete(form)
    }
    tally.places.forEach((at, form) => into(this.forms, form, at.length / 3))
    tally.inside.forEach((n, form) => into(this.inside, form, n))
    tally.low.forEach(({ count }, word) => into(this.low, word, count))
    tally.threes.forEach((n, three) => into(this.threes, three, n))
    this.words += sign * tally.words
  }
}
