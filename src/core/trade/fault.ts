/** What would mend a fault: values to be set where it lies, and how doing so is called. */
export interface Remedy {
  says: string
  values: Readonly<Record<string, unknown>>
}

/**
 * An error a person can act on: a code for programs, one plain sentence for people, a place where there is one, and what would mend it
 * where that is known.
 */
export class Fault extends Error {
  readonly code: string
  readonly place: string | undefined
  readonly remedy: Remedy | undefined
  constructor(code: string, sentence: string, place?: string, remedy?: Remedy) {
    super(sentence)
    this.name = 'Fault'
    this.code = code
    this.place = place
    this.remedy = remedy
  }
}
