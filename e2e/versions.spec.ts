import { expect } from '@playwright/test'
import { openText, test } from './library'
import { value } from './sentence'

test('a version is kept by name, one by itself before a large change; both are compared word by word and brought back, a paragraph, a section, the book', async ({
  page,
}) => {
  const text = await openText(page)
  const panel = page.getByRole('region', { name: 'Kept versions' })
  await page.getByRole('button', { name: 'Versions …' }).click()
  await panel.getByRole('textbox', { name: 'Name of the version' }).fill('First draft')
  await panel.getByRole('button', { name: 'Keep it' }).click()
  await expect(panel.getByRole('listitem')).toHaveCount(2)
  await panel.getByRole('button', { name: 'Close the versions' }).click()

  await text.locator('p').first().click()
  await page.keyboard.press('Control+Home')
  await page.waitForTimeout(200)
  await page.keyboard.type('Early, one morning. ')
  await expect(page.locator('.saving')).toHaveText('saved')
  await page.keyboard.press('Control+f')
  await page.getByRole('textbox', { name: 'What is looked for' }).fill('lantern')
  await page.getByRole('textbox', { name: 'What stands in their place' }).fill('lampion')
  await page.getByRole('button', { name: /^all \d+/ }).click()
  await page.getByRole('button', { name: 'Close the search' }).click()
  await page.getByRole('button', { name: 'Versions …' }).click()
  // One was kept by itself, its pages are counted.
  await expect(panel.getByRole('listitem')).toHaveCount(3)
  await expect(panel.getByRole('listitem').nth(1)).toContainText('Before: Replace “lantern”')
  await expect(panel.getByRole('listitem').nth(1)).toContainText(/\d+ pages/, { timeout: 30_000 })

  await panel.getByRole('button', { name: /First draft/ }).click()
  const compared = page.locator('.comparing')
  await expect(compared.locator('ins').first()).toHaveText('Early, one morning. ')
  await expect(compared.locator('del').first()).toHaveText('lantern')
  await expect(compared.getByRole('status')).toContainText(/^\d+ paragraphs changed: \d+ words came, \d+ went/)
  await compared.getByRole('button', { name: 'Bring back this paragraph' }).first().click()
  await expect(compared.locator('ins').first()).toHaveText('lampion')
  await compared
    .getByRole('button', { name: /^Bring back the section/ })
    .first()
    .click()
  await page.getByRole('combobox', { name: 'Compared with' }).click()
  await page.locator('.ant-select-dropdown:visible').getByText('Before: Replace').click()
  await expect(compared.locator('del')).toHaveCount(0)
  await expect(compared.locator('ins')).toHaveCount(1)
  await value(page, 'Compared with', 'the book as it is now')
  await compared.getByRole('button', { name: 'the whole book' }).click()
  await expect(compared.getByRole('status')).toContainText('They say the same.')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(compared.locator('ins').first()).toHaveText('lampion')
  await value(page, 'How it is laid out', 'as it was')
  await expect(compared).not.toContainText('lampion')
})
