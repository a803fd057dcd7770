import { type BrowserContext, test as plain } from '@playwright/test'

/** The demo books that a walk finds on the porch unless it asks for all. */
const SOME = ['tidewardens-almanac', 'lampblack-regatta', 'small-apiary-logbook']

/**
 * Walks begin as a first visit, and a first visit sets every demo book: of six books that takes a third of all the time. Those that are
 * about one book come to a shorter library.
 */
export const shorterLibrary = (context: BrowserContext): Promise<unknown> =>
  context.route('**/demo/library.json', route =>
    route.fulfill({ json: { books: SOME.map(book => `${book}.porchlight`) } }),
  )

/** Walks; `test.use({ library: 'all' })` has every demo book on the porch. */
export const test = plain.extend<{ library: 'some' | 'all' }>({
  library: ['some', { option: true }],
  context: async ({ context, library }, use) => {
    if (library === 'some') await shorterLibrary(context)
    await use(context)
  },
})
