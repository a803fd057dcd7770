import { ALSO_BY } from './alsoBy'
import { ABOUT_AUTHOR } from './penNames'

/** Ids of standing matter that nobody keeps as it is: it follows from the author's books and names. */
export const derivedMatter: ReadonlySet<string> = new Set([ALSO_BY, ABOUT_AUTHOR])
