import { expect, type Page } from '@playwright/test'
import { openText, test } from './library'

/** How many doubts the panel says. */
const doubts = async (page: Page): Promise<number> =>
  Number(
    /([\d,]+) doubts?/
      .exec(await page.getByRole('region', { name: 'Proof', exact: true }).getByRole('status').innerText())![1]!
      .replace(',', ''),
  )

test('what is misspelt is doubted in the margin with its remedy, mended by a key, taken back; a word is told to the book and to all books', async ({
  page,
}) => {
  const text = await openText(page)
  await text.locator('p').first().click()
  await page.keyboard.press('Control+Home')
  await page.waitForTimeout(200)
  await page.keyboard.type('They recieve the the lampion. ')
  await page.keyboard.press('Alt+p')
  const panel = page.getByRole('region', { name: 'Proof', exact: true })
  const doubt = panel.getByRole('group', { name: 'The doubt' })
  await expect(doubt).toContainText('“recieve”: in no list of words', { timeout: 30_000 })
  // In the margin, at its line, with what it may have been meant as.
  const margin = page.getByRole('list', { name: 'Notes and doubts beside the text' })
  await expect(margin).toContainText('in no list of words: receive?')
  await expect(margin).toContainText('“the” twice: the?')
  expect(await page.evaluate(() => CSS.highlights.has('doubted'))).toBe(true)
  const all = await doubts(page)

  await page.keyboard.press('Alt+m')
  await expect(text).toContainText('They receive the the lampion.')
  await expect.poll(() => doubts(page)).toBe(all - 1)
  await expect(doubt).toContainText('“the the”: “the” twice')
  await page.keyboard.press('Alt+l')
  await expect.poll(() => doubts(page)).toBe(all - 2)
  await expect(text).toContainText('the the lampion')
  await expect(doubt).toContainText('lampion')

  // It is a word of this book; then of all books; then of none.
  await doubt.getByRole('button', { name: 'in this book' }).click()
  await expect.poll(() => doubts(page)).toBe(all - 3)
  await panel.getByText('1 word of this book').click()
  await panel.getByRole('button', { name: 'Doubt “lampion” again' }).click()
  await expect.poll(() => doubts(page)).toBe(all - 2)
  await expect(doubt).toContainText('lampion')
  await doubt.getByRole('button', { name: 'in all my books' }).click()
  await expect.poll(() => doubts(page)).toBe(all - 3)
  await panel.getByRole('button', { name: 'Close the proof' }).click()
  await expect(panel).toHaveCount(0)
  await expect(margin).not.toContainText('in no list of words')

  // Another book in the language knows it, too; the list is what was kept.
  await page.goto('/book/lampblack-regatta/text')
  await text.waitFor({ timeout: 60_000 })
  await page.getByRole('button', { name: 'Proof …' }).click()
  await panel.getByText('1 word of all your books in English').click()
  await expect(panel).toContainText('lampion')

  // A dictionary of one's own takes the place of the one that ships, until it is put away.
  await expect(panel.getByRole('status')).toContainText(/\d doubt/)
  const before = await doubts(page)
  const files = panel.getByLabel('Files of a dictionary')
  const named = (name: string, words: string) => ({ name, mimeType: 'text/plain', buffer: Buffer.from(words) })
  await files.setInputFiles([named('harbour.aff', 'SET UTF-8\nSFX A Y 1\nSFX A 0 s .\n')])
  await expect(page.getByText('the file that ends in .dic belongs to it')).toBeVisible()
  await files.setInputFiles([named('harbour.dic', '2\nregatta/A\nlamp/A\n')])
  await expect(panel).toContainText('Words are looked up in harbour.dic, 2 words that you brought in')
  await expect.poll(() => doubts(page)).toBeGreaterThan(before)
  await panel.getByRole('button', { name: 'put it away' }).click()
  await expect(panel).toContainText('the British English dictionary that ships')
  await expect.poll(() => doubts(page)).toBe(before)
})
