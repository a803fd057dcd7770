import { type BrowserContext, expect, type Locator, type Page, test as plain } from '@playwright/test'

/** The demo books that a walk finds on the porch unless it asks for all. */
const SOME = ['tidewardens-almanac', 'lampblack-regatta', 'small-apiary-logbook']

/**
 * Walks begin as a first visit, and a first visit sets every demo book: of six books that takes a third of all the time. Those that are
 * about one book come to a shorter library.
 */
export const shorterLibrary = (context: BrowserContext): Promise<unknown> =>
  // Answered in the page: a route of the browser's would keep it from caching whatever it loads.
  context.addInitScript(
    books => {
      const real = window.fetch
      window.fetch = (what, how) =>
        what === '/demo/library.json' ? Promise.resolve(Response.json({ books })) : real(what, how)
    },
    SOME.map(book => `${book}.porchlight`),
  )

/** Walks; `test.use({ library: 'all' })` has every demo book on the porch. */
export const test = plain.extend<{ library: 'some' | 'all' }>({
  library: ['some', { option: true }],
  context: async ({ context, library }, use) => {
    if (library === 'some') await shorterLibrary(context)
    await use(context)
  },
})

/** Opens a demo book's text at a first visit; gives the text of its first chapter. */
export async function openText(page: Page, book = 'tidewardens-almanac'): Promise<Locator> {
  await page.goto('/')
  await expect(page.getByRole('img', { name: /Front cover/ })).toHaveCount(3, { timeout: 60_000 })
  await page.goto(`/book/${book}/text`)
  const text = page.locator('.ProseMirror').first()
  await text.waitFor({ timeout: 60_000 })
  return text
}

/**
 * Walks that `npm run test:deep` alone takes: the checking machine has twenty minutes for everything, and what these try is tried there by
 * shorter ones or by units. All of them are to be run before a release.
 */
export const long = process.env.DEEP ? test : test.skip
