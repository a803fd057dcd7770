import { expect, type Page } from '@playwright/test'
import { openText, test } from './library'
import { value } from './sentence'

/** How many places the panel says. */
const places = async (page: Page): Promise<number> =>
  Number(
    /([\d,]+) places?/
      .exec(await page.getByRole('region', { name: 'Find', exact: true }).getByRole('status').innerText())![1]!
      .replace(',', ''),
  )

test('words are found over the book as they are typed, stepped through, replaced but one, and come back with one undo; a pattern is found and made italic', async ({
  page,
}) => {
  await openText(page)
  await page.keyboard.press('Control+f')
  const panel = page.getByRole('region', { name: 'Find', exact: true })
  const words = panel.getByRole('textbox', { name: 'What is looked for' })
  await expect(words).toBeFocused()
  await words.fill('lantern')
  await expect(panel.getByRole('status')).toContainText(/places? in \d+ sections?, the 1st shown/)
  const all = await places(page)
  expect(all).toBeGreaterThan(2)
  await value(page, 'Whole words', 'whole words alone')
  await expect.poll(() => places(page)).toBeLessThanOrEqual(all)
  const whole = await places(page)

  // The next one is shown in its section, marked on the page.
  await words.press('Enter')
  await expect(panel.getByRole('status')).toContainText('the 2nd shown')
  await expect
    .poll(() => page.evaluate(() => String([...(CSS.highlights.get('found-now') ?? [])][0] ?? '').toLowerCase()))
    .toBe('lantern')
  expect(await page.evaluate(() => CSS.highlights.has('found'))).toBe(true)

  // One is passed over.
  await panel.getByRole('checkbox').first().uncheck()
  await panel.getByRole('textbox', { name: 'What stands in their place' }).fill('lampion')
  await panel.getByRole('button', { name: `the ${whole - 1} ticked` }).click()
  await expect.poll(() => places(page)).toBe(1)
  await words.fill('lampion')
  await expect.poll(() => places(page)).toBe(whole - 1)
  await panel.getByRole('button', { name: 'Close the search' }).click()
  await expect(panel).toHaveCount(0)
  await page.getByRole('button', { name: 'Undo' }).click()
  await page.getByRole('button', { name: 'Find …' }).click()
  await words.fill('lampion')
  await expect(panel.getByRole('status')).toContainText('Nowhere')

  // A pattern; a bad one is said in plain words.
  await value(page, 'Read as', 'a pattern')
  await words.fill('(tide')
  await expect(panel.getByRole('alert')).toContainText('A bracket ( is opened and not closed')
  await words.fill('\\b[Tt]ide tables?\\b|\\b[Tt]ides?\\b')
  await expect(panel.getByRole('alert')).toHaveCount(0)
  await expect.poll(() => places(page)).toBeGreaterThan(3)
  await value(page, 'Where it looks', 'this section')
  expect(await places(page)).toBeGreaterThan(0)
  const italic = page.locator('.ProseMirror em')
  const before = await italic.count()
  await value(page, 'Make them', 'italic')
  await expect.poll(() => italic.count()).toBeGreaterThan(before)
  await page.keyboard.press('Escape')
})
