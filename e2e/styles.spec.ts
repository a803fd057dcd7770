import { readFileSync } from 'node:fs'
import { expect, type Page } from '@playwright/test'
import { long, test } from './library'

/** Styles, exceptions, fitting, views and files of the interior, in the real interface. */
const figure = (page: Page, name: string) =>
  page.getByLabel('Sill').locator('.figure').filter({ hasText: name }).locator('b')
const count = async (page: Page): Promise<number> => Number(await figure(page, 'Pages').textContent())

test.beforeEach(async ({ page }) => {
  await page.goto('/')
  await page.getByRole('link', { name: 'The Tidewarden’s Almanac' }).click({ timeout: 60_000 })
  await expect(page.locator('.spread canvas[data-painted=true]')).toHaveCount(2, { timeout: 60_000 })
})

long('a style is held against the present, taken, changed, kept, given away and brought back', async ({ page }) => {
  const errors: string[] = []
  page.on('pageerror', e => errors.push(e.message))
  const before = await count(page)
  await page.getByRole('button', { name: 'styles …' }).click()
  const styles = page.getByRole('dialog', { name: 'Styles' })
  await expect(styles.getByRole('img', { name: /^The first chapter in/ })).toHaveCount(8)
  await expect(styles.locator('canvas[data-painted=true]')).toHaveCount(8, { timeout: 60_000 })
  const plainsong = styles.getByRole('listitem').filter({ hasText: 'Plainsong' })
  await plainsong.getByRole('button', { name: 'Hold against the present' }).click()
  const both = page.getByRole('group', { name: 'Harbour Roman and Plainsong side by side' })
  await expect(both.locator('canvas[data-painted=true]')).toHaveCount(4, { timeout: 60_000 })
  const promised = Number(await both.locator('section').nth(1).locator('dd').first().textContent())
  expect(promised).toBeGreaterThan(before)
  expect(Number(await both.locator('section').first().locator('dd').first().textContent())).toBe(before)

  // What was promised is what comes.
  await both.getByRole('button', { name: 'Set the book in Plainsong' }).click()
  await expect.poll(() => count(page)).toBe(promised)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect.poll(() => count(page)).toBe(before)
  await page.getByRole('button', { name: 'Redo' }).click()
  await expect.poll(() => count(page)).toBe(promised)

  await page.getByRole('spinbutton', { name: 'Leading', exact: true }).fill('13.5')
  await page.getByRole('spinbutton', { name: 'Leading', exact: true }).press('Enter')
  await expect.poll(() => count(page)).toBeLessThan(promised)
  const changed = await count(page)
  await page.getByRole('button', { name: 'styles …' }).click()
  await styles.getByLabel('Keep the present style').fill('Low Water')
  await styles.getByRole('button', { name: 'Keep', exact: true }).click()
  await expect(styles.getByRole('listitem').filter({ hasText: 'Low Water' })).toContainText('set in it')
  const saving = page.waitForEvent('download')
  await styles.getByRole('button', { name: 'Save Low Water as a file' }).click()
  const file = readFileSync(await (await saving).path(), 'utf8')
  expect(JSON.parse(file)).toMatchObject({
    format: 'porchlight-style',
    name: 'Low Water',
    text: { family: 'spectral', leading: 13.5 },
  })
  await styles.getByLabel('Style file').setInputFiles({
    name: 'own.json',
    mimeType: 'application/json',
    buffer: Buffer.from(file.replace('Low Water', 'High Water')),
  })
  await expect(styles.getByRole('listitem').filter({ hasText: 'High Water' })).toBeVisible()
  await styles.getByLabel('Style file').setInputFiles({
    name: 'bad.json',
    mimeType: 'application/json',
    buffer: Buffer.from(file.replace('13.5', '"thick"')),
  })
  await expect(page.getByText('This style cannot be read: text.leading', { exact: false })).toBeVisible()
  await page.keyboard.press('Escape')

  await page.reload()
  await expect(page.locator('.spread canvas[data-painted=true]')).toHaveCount(2, { timeout: 60_000 })
  await expect(page.getByRole('button', { name: 'Low Water' })).toBeVisible()
  expect(await count(page)).toBe(changed)
  expect(errors).toEqual([])
})

long('a book made to fit, an exception at one opening, both undone', async ({ page }) => {
  const before = await count(page)
  await page.getByRole('button', { name: 'fit to a count …' }).click()
  await page.getByLabel('Pages to fit').fill(String(before - 4))
  await page.getByRole('button', { name: 'Work it out' }).click()
  const offer = page.locator('.fit [role=status]')
  await expect(offer.locator('b')).toContainText(/\d+ pages/, { timeout: 60_000 })
  const offered = Number((await offer.locator('b').textContent())!.split(' ')[0])
  expect(offered).toBeLessThanOrEqual(before - 4)
  await page.getByRole('button', { name: 'Take it' }).click()
  await expect.poll(() => count(page)).toBe(offered)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect.poll(() => count(page)).toBe(before)

  await page.getByRole('button', { name: /^Pages 12–13/ }).click()
  await page.getByRole('button', { name: 'an exception here …' }).click()
  await page.getByRole('combobox', { name: 'Here: First paragraphs have' }).press('Enter')
  await page.getByText('an initial of four lines', { exact: true }).last().click()
  await expect(page.getByRole('button', { name: 'one exception here' })).toBeVisible()
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: /^Take away the exception/ }).click()
  await expect(page.getByRole('button', { name: 'an exception here …' })).toHaveCount(1)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByRole('button', { name: 'one exception here' })).toBeVisible()
})

long('words are found in the pages; views come and go; files are made', async ({ page }) => {
  await page.getByLabel('Find in the pages').fill('patient margaret')
  await expect(page.locator('.find [role=status]')).toContainText(/\d+ of \d+/)
  await expect(page.locator('.guide.found').first()).toBeVisible()
  const first = await page.locator('.find [role=status]').textContent()
  await page.getByLabel('Find in the pages').press('Enter')
  await expect(page.locator('.find [role=status]')).not.toHaveText(first!)
  await page.getByLabel('Find in the pages').press('Escape')
  await expect(page.locator('.guide.found')).toHaveCount(0)

  await page.getByRole('button', { name: 'show …' }).click()
  await page.getByRole('checkbox', { name: 'rulers' }).check()
  await expect(page.getByRole('img', { name: 'Rulers in inches' }).first()).toBeVisible()
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: 'one page' }).click()
  await expect(page.locator('.spread .page')).toHaveCount(1)
  await page.getByRole('button', { name: 'all pages' }).click()
  await expect(page.locator('.overview [data-painted=true]').first()).toBeVisible()
  await page
    .locator('.overview')
    .getByRole('button', { name: /^Pages 8–9/ })
    .click()
  await expect(page.getByRole('img', { name: 'Page 8', exact: true })).toBeVisible()

  await page.getByRole('button', { name: 'files …' }).click()
  for (const [name, has] of [
    ['For the press', 'TrimBox'],
    ['Prepared for PDF/X-4', 'GTS_PDFX'],
    ['A proof', 'TrimBox'],
  ] as const) {
    const saving = page.waitForEvent('download')
    await page.getByRole('button', { name: `Save: ${name}` }).click()
    const bytes = readFileSync(await (await saving).path())
    expect(bytes.subarray(0, 5).toString()).toBe('%PDF-')
    expect(bytes.includes(has)).toBe(true)
  }
})
