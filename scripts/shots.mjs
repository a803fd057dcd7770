// npm run shots: one picture of each main view from the demo data, into docs/screenshots. Wants a build.
import { mkdirSync } from 'node:fs'
import { join } from 'node:path'
import { root, serve } from './lib/setup.mjs'
import { chromium } from '@playwright/test'

const out = join(root, 'docs/screenshots')
mkdirSync(out, { recursive: true })
const port = 4312
const server = await serve(port)
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--disable-component-update', '--disable-sync', '--no-first-run', '--disable-quic'] })
try {
  for (const [name, scheme] of [['shelf', 'light'], ['shelf-dusk', 'dark']]) {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, colorScheme: scheme })
    await page.goto(`http://localhost:${port}/`)
    await page.locator('.front img').first().waitFor({ timeout: 60_000 })
    await page.screenshot({ path: join(out, `${name}.png`) })
    if (name === 'shelf') {
      await page.getByRole('link', { name: 'The Tidewarden’s Almanac' }).click()
      await page.locator('.spread canvas[data-painted=true]').nth(1).waitFor({ timeout: 60_000 })
      await page.waitForTimeout(1200)
      await page.screenshot({ path: join(out, 'interior.png') })
      await page.getByRole('link', { name: 'Plan' }).click()
      await page.getByLabel('Sill').getByText('Pages').waitFor({ timeout: 60_000 })
      await page.waitForTimeout(300)
      await page.screenshot({ path: join(out, 'plan.png') })
      await page.getByRole('link', { name: 'Outlets' }).click()
      await page.getByRole('table').waitFor()
      await page.waitForTimeout(300)
      await page.screenshot({ path: join(out, 'outlets.png') })
    }
    await page.close()
  }
} finally {
  await browser.close()
  server.kill()
}
