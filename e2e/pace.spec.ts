import { expect } from '@playwright/test'
import { openText, test } from './library'

test('what is written and cut is counted by itself; a target is planned from it, a sitting timed; the days are drawn', async ({
  page,
}) => {
  const text = await openText(page)
  await text.locator('p').first().click()
  await page.keyboard.press('Control+Home')
  await page.waitForTimeout(200)
  await page.keyboard.type('They said it was early for that. ')
  await expect(page.locator('.saving')).toHaveText('saved')
  const panel = page.getByRole('region', { name: 'Pace' })
  await page.getByRole('button', { name: 'Pace …' }).click()
  await expect(panel).toContainText('Today you wrote 7 words.')
  await expect(panel).toContainText(/1 minute, 7 words/)
  await panel.getByRole('button', { name: 'Set one' }).click()
  const target = panel.getByRole('spinbutton', { name: 'Words that it is to have' })
  await expect(target).toHaveValue('76000')
  await target.fill('25000')
  await target.press('Enter')
  await expect(panel.getByRole('status')).toContainText(/It is there: 25,\d{3} words/)
  await target.fill('90000')
  await target.press('Enter')
  await expect(panel.getByRole('status')).toContainText(/6\d,\d{3} words to go on \d+ writing days/)
  await panel.getByRole('button', { name: 'Begin the sitting' }).click()
  await expect(panel.getByRole('timer')).toContainText(/Writing for 2\d:\d\d more; 0 words so far/)

  // Undone, it counts no more; the panel and the picture follow.
  await panel.getByRole('button', { name: 'See it day by day' }).click()
  const picture = page.getByRole('img', { name: /^Words by day/ })
  await expect(picture).toHaveAccessibleName(/7 written, 0 cut$/)
  for (const _ of ['target', 'target', 'set']) await page.getByRole('button', { name: 'Undo' }).click()
  await expect(panel).toContainText('No target is set')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(panel).toContainText('Nothing is written today yet.')
  await expect(picture).toHaveAccessibleName('Words by day: none yet')
})
