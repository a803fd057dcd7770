/** Something that came back from a round. */
export interface Return {
  /** "r1-1": its round, and the how-manieth it is of that. */
  id: string
  /** Who brought it back, and when it came, in milliseconds since 1970. */
  by: string
  at: number
  /** SHA-256 of the kept version that it is; and of what is known of who changed what and when. */
  state: string
  told: string
  /** Names of differences that were refused. */
  left: string[]
  /** All of it was looked through: it is put away. */
  done?: boolean
}

/** How a text goes out to others: as a word-processor file, as a copy that another Porchlight opens, or the whole book for somebody who helps with it. */
export type RoundForm = 'docx' | 'copy' | 'whole'

/** The text given out to others, and what came back. */
export interface Round {
  id: string
  /** For whom. */
  to: string
  at: number
  form: RoundForm
  /** Sections that went; all written ones where absent. */
  sections?: string[]
  /** SHA-256 of the kept version that went. */
  sent: string
  returns: Return[]
}

/** Of a book that is somebody else’s, come here to be read and commented. */
export interface ReviewCopy {
  /** The UUID of the book that it is of, and the round that it came on. */
  of: string
  round: string
  /** Whose it is. */
  from: string
  at: number
  /** Who reads it here: their name goes back with it. */
  by: string
  /** All of the book came, not its text alone. */
  whole?: boolean
  /** When each section was last changed here. It is written as the copy goes back. */
  changed?: Record<string, number>
}
