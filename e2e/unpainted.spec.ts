import { expect } from '@playwright/test'
import { long } from './library'

long('a page that cannot be painted says so in its place, and is painted as soon as it can be', async ({ page }) => {
  await page.goto('/porch')
  await expect(page.locator('.front img')).toHaveCount(3, { timeout: 60_000 })
  await page.goto('/book/tidewardens-almanac/interior')
  await expect(page.locator('.spread canvas[data-painted="true"]').first()).toBeVisible({ timeout: 60_000 })
  for (const w of page.workers())
    await w.evaluate(() => {
      const whole = OffscreenCanvas.prototype.getContext
      Object.assign(globalThis, { mend: () => (OffscreenCanvas.prototype.getContext = whole) })
      OffscreenCanvas.prototype.getContext = () => {
        throw new Error('there is no memory for its pixels')
      }
    })
  await page.keyboard.press('PageDown')
  const said = page.locator('.unpainted').first()
  await expect(said).toHaveText(/This page could not be painted: there is no memory for its pixels/, {
    timeout: 30_000,
  })
  for (const w of page.workers()) await w.evaluate(() => (globalThis as unknown as { mend: () => void }).mend())
  await page.keyboard.press('PageDown')
  await expect(page.locator('.unpainted')).toHaveCount(0)
  await expect(page.locator('.spread canvas[data-painted="true"]').first()).toBeVisible()
})
