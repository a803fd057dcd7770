import type { ObjectSchema } from 'yup'
import type { Control, DrawnPage } from '../kind'

/** What a placed piece is drawn in: a box of its size, its left top at the origin. */
export interface DesignOn<P> extends Pick<
  DrawnPage<object, unknown>,
  'out' | 'place' | 'styleOf' | 'look' | 'assets' | 'print' | 'language'
> {
  params: P
  width: number
  height: number
  /** What stands for `{name}` in its words. */
  fields: Readonly<Record<string, string>>
}

/** What values of placed pieces are set with, beside those of runs: words over several lines, one picture of the book's. */
export type DesignControl = Control | { as: 'text'; says: string } | { as: 'picture'; says: string }

/**
 * A kind of piece that an author places on a page. It is one folder: its values with their schema, the sentence they are said in, what
 * draws it. `P`: its values; lengths in points, shares 0 to 1.
 */
export interface DesignKind<P extends object = object> {
  id: string
  /** "Words". */
  name: string
  schema: () => ObjectSchema<P>
  plain: P
  /** Of a new one, shares of its page's room. */
  size: { width: number; height: number }
  sentence: string
  controls: { [K in keyof P & string]: DesignControl }
  draw(on: DesignOn<P>): void | Promise<void>
}

/** Kinds are written with their own types and kept without them: what a piece holds was checked against its kind's schema. */
export const aDesign = <P extends object>(kind: DesignKind<P>): DesignKind => kind as unknown as DesignKind
