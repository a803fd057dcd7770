import { readFileSync } from 'node:fs'
import { expect } from '@playwright/test'
import { test } from './library'

test('outlets are the author’s: their figures move the books, profiles go out and in, shipped ones come back', async ({
  page,
}) => {
  await page.goto('/porch')
  await expect(page.locator('.front img')).toHaveCount(3, { timeout: 60_000 })
  await page.goto('/outlets')
  const ostrevane = page.getByRole('region', { name: 'Ostrevane', exact: true })
  await expect(ostrevane).toContainText('The Tidewarden’s Almanac')
  await expect(ostrevane.getByRole('button', { name: 'Take out' })).toBeDisabled()

  // A share that is entered is what the books are reckoned with: 0.57 × 11.99 − 2.045 was 4.79.
  const share = ostrevane.getByLabel('Share, own shop')
  await share.fill('50')
  await share.press('Enter')
  await expect(ostrevane).toContainText('changed')
  await page.goto('/book/tidewardens-almanac/plan')
  const paperback = page.getByRole('region', { name: 'Paperback' })
  await expect(paperback).toContainText('Own shop: $3.95 a copy', { timeout: 60_000 })
  await page.goto('/outlets')
  await ostrevane.getByRole('button', { name: 'As it shipped' }).click()
  await expect(share).toHaveValue('57')

  // Out and in: a copy, renamed, saved, taken out, brought in again.
  await ostrevane.getByRole('button', { name: 'Copy' }).click()
  const copy = page.getByRole('region', { name: 'Ostrevane 2' })
  await copy.getByLabel('Name of the outlet').fill('Saltmarsh Print')
  await copy.getByLabel('Name of the outlet').press('Enter')
  const own = page.getByRole('region', { name: 'Saltmarsh Print' })
  await expect(own).toContainText('your own')
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    own.getByRole('button', { name: 'Save as JSON' }).click(),
  ])
  const path = await file.path()
  expect((JSON.parse(readFileSync(path, 'utf8')) as { name: string }).name).toBe('Saltmarsh Print')
  await own.getByRole('button', { name: 'Take out' }).click()
  await expect(own).toHaveCount(0)
  await page.getByLabel('Outlet profiles').setInputFiles(path)
  await expect(own).toBeVisible()
  await page.getByLabel('Outlet profiles').setInputFiles(path)
  await page.getByRole('button', { name: 'Beside it' }).click()
  await expect(page.getByRole('region', { name: 'Saltmarsh Print 2' })).toBeVisible()
  await page.getByLabel('Outlet profiles').setInputFiles({
    name: 'no.json',
    mimeType: 'application/json',
    buffer: Buffer.from('{"format":"porchlight-outlet"}'),
  })
  await expect(page.getByText(/no\.json.*cannot be read/)).toBeVisible()

  // What ships can be taken out, and put back.
  await page.getByRole('region', { name: 'Harrowmere' }).getByRole('button', { name: 'Take out' }).click()
  await page.getByRole('button', { name: 'Put Harrowmere back' }).click()
  await expect(page.getByRole('region', { name: 'Harrowmere' })).toBeVisible()
})

test('where print wants a proof: ordered, waited for, approved, and then sent and on sale', async ({ page }) => {
  await page.goto('/porch')
  await expect(page.locator('.front img')).toHaveCount(3, { timeout: 60_000 })
  await page.goto('/book/tidewardens-almanac/listings')
  await page.getByRole('button', { name: 'Take the paperback to Harrowmere' }).click()
  const sheet = page.getByRole('region', { name: 'Paperback at Harrowmere' })
  await sheet.getByLabel('Categories').click()
  await page.getByTitle('FFJ Crime: cosy mystery').click()
  await page.keyboard.press('Escape')
  await sheet.getByText('mine to publish').click()
  await expect(sheet.getByRole('heading', { name: 'Ready' })).toBeVisible({ timeout: 60_000 })

  await sheet.getByRole('button', { name: 'Send', exact: true }).click()
  await expect(page.getByText('puts print on sale with an approved proof')).toBeVisible({ timeout: 60_000 })
  await page.getByRole('button', { name: 'Mend it first' }).click()
  await sheet.getByRole('button', { name: 'Order a proof' }).click()
  await expect(sheet).toContainText('the proof arrives', { timeout: 60_000 })
  for (let weeks = 0; weeks < 2; weeks++) await page.getByRole('button', { name: 'a week' }).click()
  await sheet.getByRole('button', { name: 'Approve the proof' }).click()
  await expect(sheet).toContainText('proof approved')
  await sheet.getByRole('button', { name: 'Send', exact: true }).click()
  await expect(sheet).toContainText('decides', { timeout: 60_000 })
  await page.getByRole('button', { name: 'a week' }).click()
  await expect(sheet).toContainText('on sale since')
  await expect(sheet).toContainText('A revision is free: 2 of this year’s free ones are left.')
})
