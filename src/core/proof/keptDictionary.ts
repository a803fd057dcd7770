/** A dictionary that the author brought in for a language; its texts are files of the library. */
export interface KeptDictionary {
  /** The language's tag, in small letters. */
  id: string
  /** Of the file it came in. */
  name: string
  /** Hash of what says how words change; absent where it is a bare list of words. */
  aff?: string
  /** Hash of the words. */
  dic: string
  /** Words that stand in it, without their forms. */
  words: number
  /** Of both files. */
  bytes: number
}
