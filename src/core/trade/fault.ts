/** An error a person can act on: a code for programs, one plain sentence for people, a place where there is one. */
export class Fault extends Error {
  readonly code: string
  readonly place: string | undefined
  constructor(code: string, sentence: string, place?: string) {
    super(sentence)
    this.name = 'Fault'
    this.code = code
    this.place = place
  }
}
