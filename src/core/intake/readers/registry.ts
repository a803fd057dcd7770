import { docx } from './docx/kind'
import { epub } from './epub/kind'
import { html } from './html/kind'
import { markdown } from './markdown/kind'
import { odt } from './odt/kind'
import type { Reader } from './reader'
import { plainText } from './text/kind'

/** The kinds of manuscripts, those that are known by what is in them first; the last takes every text. */
export const readers: readonly Reader[] = [epub, odt, docx, html, markdown, plainText]
