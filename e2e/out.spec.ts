import { readFileSync } from 'node:fs'
import { expect } from '@playwright/test'
import { openText, test } from './library'
import { value } from './sentence'

test('the text is taken out, whole and by section, with what was typed a moment ago; what a format cannot say is told', async ({
  page,
}) => {
  const text = await openText(page)
  await page.getByRole('button', { name: 'Take out …' }).click()
  const panel = page.getByRole('region', { name: 'Take out' })
  const taken = async (): Promise<{ name: string; bytes: Buffer }> => {
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      panel.getByRole('button', { name: 'make the file' }).click(),
    ])
    return { name: download.suggestedFilename(), bytes: readFileSync(await download.path()) }
  }
  await text.locator('p').first().click()
  await page.keyboard.press('Control+Home')
  await page.waitForTimeout(200)
  await page.keyboard.type('Long ago. ')
  const document = await taken()
  expect(document.name).toMatch(/^the-tidewarden.*\.docx$/)
  await value(page, 'As what', 'Markdown')
  const whole = await taken()
  expect(whole.name).toMatch(/^the-tidewarden.*\.zip$/)
  await expect(panel.getByRole('status')).toContainText('is among your downloads. No word is missing')
  await value(page, 'As what', 'plain text')
  await value(page, 'What is taken out', 'This section')
  const section = await taken()
  expect(section.name).toMatch(/\.txt$/)
  const said = section.bytes.toString()
  expect(said).toMatch(/^Chapter One: The Bell Rings by Itself\n\nLong ago\. Ada Pell heard it/)
  expect(said).not.toContain('The Patient Margaret')
})
