import { expect } from '@playwright/test'
import { shorterLibrary, test } from './library'

test('on a telephone the porch can be read, and nothing runs out of the page', async ({ browser }) => {
  const context = await browser.newContext({
    viewport: { width: 390, height: 780 },
    hasTouch: true,
    baseURL: 'http://localhost:4311',
  })
  await shorterLibrary(context)
  const page = await context.newPage()
  await page.goto('/')
  await expect(page.getByRole('img', { name: /Front cover/ })).toHaveCount(3, { timeout: 60_000 })
  const wide = await page.evaluate(() => document.documentElement.scrollWidth)
  expect(wide).toBeLessThanOrEqual(390)
  for (const name of ['Bring in a manuscript', 'New book'])
    await expect(page.getByRole('button', { name })).toBeInViewport()
  await expect(page.getByRole('heading', { name: 'The Tidewarden’s Almanac' })).toBeInViewport()
  await page.goto('/book/tidewardens-almanac/text')
  await page.getByRole('textbox', { name: 'Text of the section' }).locator('p').first().click()
  await page.keyboard.type('Small ')
  await expect(page.locator('.saving')).toHaveText('saved')
})

test('the keyboard reaches everything, and what has the focus shows it', async ({ page }) => {
  await page.goto('/')
  await expect(page.getByRole('img', { name: /Front cover/ })).toHaveCount(3, { timeout: 60_000 })
  const seen: string[] = []
  for (let i = 0; i < 13; i++) {
    await page.keyboard.press('Tab')
    seen.push(
      await page.evaluate(() => {
        const e = document.activeElement as HTMLElement
        return e.getAttribute('aria-label') ?? e.textContent?.trim() ?? ''
      }),
    )
  }
  for (const name of ['To the room', 'Porch', 'Find a book', 'Bring in a manuscript', 'New book'])
    expect(seen.some(s => s.includes(name))).toBe(true)
  await page.getByRole('button', { name: 'New book' }).focus()
  await page.keyboard.press('Enter')
  const title = page.getByLabel('Title')
  await expect(title).toBeFocused()
  await page.keyboard.press('Escape')
  await expect(title).toBeHidden()
  await expect(page.getByRole('button', { name: 'New book' })).toBeFocused()
})

test('a file is dropped on the porch', async ({ page }) => {
  await page.goto('/')
  await expect(page.getByRole('img', { name: /Front cover/ })).toHaveCount(3, { timeout: 60_000 })
  const data = await page.evaluateHandle(() => {
    const d = new DataTransfer()
    d.items.add(
      new File(['CHAPTER ONE\n\nThe tide came in.\n\nCHAPTER TWO\n\nIt went out.'], 'dropped.txt', {
        type: 'text/plain',
      }),
    )
    return d
  })
  await page.dispatchEvent('#room', 'drop', { dataTransfer: data })
  await expect(page.getByRole('heading', { name: 'dropped', level: 1 })).toBeVisible({ timeout: 30_000 })
  await expect(page.getByRole('region', { name: 'Proposed sections' }).getByRole('listitem')).toHaveCount(2)
})
