import { primaryTag } from '../../book'
import { cs } from './cs'
import { da } from './da'
import { de } from './de'
import { el } from './el'
import { en, type PageWords } from './en'
import { es } from './es'
import { fi } from './fi'
import { fr } from './fr'
import { it } from './it'
import { nb } from './nb'
import { nl } from './nl'
import { pl } from './pl'
import { pt } from './pt'
import { ru } from './ru'
import { sv } from './sv'

export type { PageWords } from './en'
export type PageWord = keyof PageWords

const languages: Record<string, PageWords> = { cs, da, de, el, en, es, fi, fr, it, nb, nl, pl, pt, ru, sv }

/** The words of a book's language; English where it is none of those that are offered. */
export const pageWords = (language: string): PageWords => languages[primaryTag(language)] ?? en
