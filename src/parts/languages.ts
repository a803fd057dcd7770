import { printedLanguages } from '@/core/book'

const englishNames = new Intl.DisplayNames(['en'], { type: 'language' })

/** What a language is called in English: "German" for "de". */
export const languageName = (tag: string): string => englishNames.of(tag) ?? tag

/** Languages that a book can be in, by BCP 47 tag; English is divided otherwise on either side of a sea. */
export const bookLanguages: readonly string[] = ['en-GB', 'en-US', ...printedLanguages.filter(l => l !== 'en')]

/** Languages that words of a book may be in: those of books, and others that stories quote. */
export const passageTags: readonly string[] = [
  ...bookLanguages,
  ...['la', 'cy', 'ga', 'gd', 'hu', 'ro', 'tr', 'is', 'et', 'lv', 'lt', 'sk', 'sl', 'hr', 'uk', 'bg', 'ca', 'eu', 'eo'],
].sort((a, b) => (languageName(a) < languageName(b) ? -1 : 1))
