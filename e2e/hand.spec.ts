import { expect, type Page } from '@playwright/test'
import { execFileSync } from 'node:child_process'
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { long, test } from './library'

/** Two pages that another program made: a left and a right form. */
function forms(): Buffer {
  const dir = mkdtempSync(join(tmpdir(), 'porchlight-forms-'))
  const page = (words: string): string =>
    `/Times-Roman findfont 40 scalefont setfont 60 400 moveto (${words}) show showpage`
  const source = `%!PS\n<< /PageSize [419.53 595.28] >> setpagedevice\n${page('Left form')}\n${page('Right form')}\n`
  writeFileSync(join(dir, 'forms.ps'), source)
  execFileSync('gs', [
    ...['-q', '-dBATCH', '-dNOPAUSE', '-dPDFSETTINGS=/prepress', '-sDEVICE=pdfwrite'],
    `-sOutputFile=${join(dir, 'forms.pdf')}`,
    join(dir, 'forms.ps'),
  ])
  return readFileSync(join(dir, 'forms.pdf'))
}

const spread = (page: Page) => page.locator('.spread')
/** Clicks a place of the open spread, shares of it. */
async function take(page: Page, x: number, y: number): Promise<void> {
  const box = (await spread(page).boundingBox())!
  await page.mouse.click(box.x + box.width * x, box.y + box.height * y)
}

test('a single page is changed by hand, keeps that when its run is made anew, and waits where its page is gone', async ({
  page,
}) => {
  await page.goto('/')
  await page.getByRole('link', { name: 'The Small Apiary Logbook' }).waitFor({ timeout: 60_000 })
  await page.goto('/book/small-apiary-logbook/pages')
  await page.getByRole('button', { name: 'Add a run' }).click({ timeout: 30_000 })
  await page.getByRole('button', { name: /^Drawn by hand/ }).click()
  await expect(spread(page).locator('canvas[data-painted=true]').first()).toBeVisible({ timeout: 30_000 })

  // A page of the spread, then its words: said, moved by keys, undone.
  const whole = page.getByRole('region', { name: 'Page 133', exact: true })
  // What takes hold of pieces is loaded when a spread is opened.
  await expect(async () => {
    await take(page, 0.97, 0.97)
    await expect(whole).toBeVisible({ timeout: 2000 })
  }).toPass({ timeout: 30_000 })
  await expect(whole).toContainText('made from “')
  await whole.getByRole('group', { name: 'On this page alone' }).getByRole('button', { name: 'Words' }).click()
  const words = page.getByRole('region', { name: 'Words of page 133' })
  await words.getByLabel('What it says').fill('For Saturdays only')
  await words.getByLabel('Size of its letters').fill('20')
  await words.getByLabel('Size of its letters').press('Enter')
  await expect(words).toContainText('on this page alone')
  const left = words.getByLabel('From the left')
  const was = Number(await left.inputValue())
  await page.locator('.caption').click()
  await page.keyboard.press('ArrowRight')
  await page.keyboard.press('Shift+ArrowRight')
  await expect(left).toHaveValue(String(Number((was + 11).toFixed(1))))
  await words.getByRole('button', { name: 'All of page 133' }).click()
  await expect(whole).toContainText('Words')
  await whole.getByRole('button', { name: 'Back to the run' }).click()
  const said = page.getByRole('region', { name: 'What Drawn by hand is' })
  await expect(page.getByText('Changed by hand:')).toContainText('page 133')

  // Another list: what that page was made from is gone, its changes wait and are said; they are laid on a page that is there.
  await said.getByRole('combobox', { name: 'Rows' }).click()
  await page.getByTitle('a list of my own').click()
  await page.getByLabel('List of rows', { exact: true }).fill('name;task\nAnna;sweep\nBert;mend')
  await page.getByLabel('List of rows', { exact: true }).press('Tab')
  const waits = page.getByRole('alert').filter({ hasText: 'waits' })
  await expect(waits).toContainText('is gone from the run', { timeout: 30_000 })
  await waits.getByRole('button', { name: /^Lay it on page/ }).click()
  await expect(waits).toHaveCount(0, { timeout: 30_000 })
  await expect(page.getByText('Changed by hand:')).toBeVisible()
})

long('pages of a PDF that was made elsewhere are pages of the book, left and right in turn', async ({ page }) => {
  await page.goto('/')
  await page.getByRole('link', { name: 'The Small Apiary Logbook' }).waitFor({ timeout: 60_000 })
  await page.goto('/book/small-apiary-logbook/pages')
  await page.getByRole('button', { name: 'Add a run' }).click({ timeout: 30_000 })
  await page.getByRole('button', { name: /^Made elsewhere/ }).click()
  const said = page.getByRole('region', { name: 'What Made elsewhere is' })
  const bring = page.getByLabel('Pictures of a run')
  await bring.setInputFiles({ name: 'half.pdf', mimeType: 'application/pdf', buffer: forms().subarray(0, 900) })
  await expect(page.getByText('“half.pdf”', { exact: false })).toBeVisible({ timeout: 30_000 })
  await bring.setInputFiles({ name: 'forms.pdf', mimeType: 'application/pdf', buffer: forms() })
  await expect(said).toContainText('2 pages', { timeout: 30_000 })
  await expect(page.getByLabel('Sill').locator('.figure').filter({ hasText: 'Pages' })).toContainText('134')
  await said.getByRole('combobox', { name: 'How often' }).click()
  await page.getByTitle('in turn, again and again').click()
  await page.getByLabel('Pages of Made elsewhere').fill('10')
  await page.getByLabel('Pages of Made elsewhere').press('Enter')
  await expect(page.getByLabel('Sill').locator('.figure').filter({ hasText: 'Pages' })).toContainText('142', {
    timeout: 30_000,
  })
  // Their words are painted: a page of the spread has ink in the band where they stand.
  await expect(spread(page).locator('canvas[data-painted=true]').nth(1)).toBeVisible({ timeout: 30_000 })
  const dark = await spread(page)
    .locator('canvas')
    .first()
    .evaluate(async (c: HTMLCanvasElement) => {
      const bitmap = await createImageBitmap(c)
      const copy = new OffscreenCanvas(bitmap.width, bitmap.height)
      const ctx = copy.getContext('2d')!
      ctx.drawImage(bitmap, 0, 0)
      const { data } = ctx.getImageData(0, Math.round(c.height * 0.25), c.width, Math.round(c.height * 0.1))
      let n = 0
      for (let i = 0; i < data.length; i += 4) if (data[i]! < 90) n++
      return n
    })
  expect(dark).toBeGreaterThan(100)
})
