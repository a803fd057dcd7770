import { chromium, expect, type Page } from '@playwright/test'
import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { long, shorterLibrary, test } from './library'

/** What a window may do to a book: two of them, one that dies, a full disk, foreign HTML, no network. */
const textOf = (page: Page) => page.getByRole('textbox', { name: 'Text of the section' })
const book = '/book/tidewardens-almanac'

async function demo(page: Page): Promise<void> {
  await page.goto('/')
  await expect(page.getByRole('listitem')).toHaveCount(3, { timeout: 60_000 })
}

test('a second window follows, takes over, and the first follows then', async ({ context }) => {
  const first = await context.newPage()
  await demo(first)
  await first.goto(`${book}/text`)
  await textOf(first).locator('p').first().waitFor()
  const second = await context.newPage()
  await second.goto(`${book}/text`)
  await expect(second.getByText('open in another window, which writes it', { exact: false })).toBeVisible()
  await expect(textOf(second)).toHaveAttribute('contenteditable', 'false')

  await textOf(first).locator('p').first().click()
  await first.keyboard.type('Qualm ')
  await expect(textOf(second)).toContainText('Qualm', { timeout: 10_000 })

  await second.getByRole('button', { name: 'Write here instead' }).click()
  await expect(textOf(second)).toHaveAttribute('contenteditable', 'true')
  await expect(first.getByText('open in another window, which writes it', { exact: false })).toBeVisible()
  await textOf(second).locator('p').first().click()
  await second.keyboard.type('Zephyr ')
  await expect(textOf(first)).toContainText('Zephyr', { timeout: 10_000 })

  // When the writer is closed, the one that follows writes.
  await second.close()
  await expect(textOf(first)).toHaveAttribute('contenteditable', 'true')
})

test('Chromium killed in mid-sentence: at most the last second is lost', async ({}, info) => {
  const profile = await mkdtemp(join(tmpdir(), 'porchlight-'))
  const launch = () =>
    chromium.launchPersistentContext(profile, {
      ...info.project.use.launchOptions,
      baseURL: 'http://localhost:4311',
      viewport: { width: 1280, height: 800 },
    })
  let context = await launch()
  await shorterLibrary(context)
  let page = await context.newPage()
  await demo(page)
  await page.goto(`${book}/text`)
  await textOf(page).locator('p').first().click()
  await page.keyboard.type('The kettle was warm and nobody had lit the stove. ', { delay: 12 })
  // A second is waited, then more is typed and the browser dies at once, with no chance to say goodbye.
  await page.waitForTimeout(1000)
  await page.keyboard.type('And the', { delay: 5 })
  const browser = await context
    .browser()
    ?.newBrowserCDPSession()
    .catch(() => undefined)
  const session = browser ?? (await context.newCDPSession(page))
  await Promise.race([session.send('Browser.crash' as never).catch(() => undefined), page.waitForTimeout(3000)])
  await context.close().catch(() => undefined)

  context = await launch()
  page = await context.newPage()
  await page.goto(`${book}/text`)
  await expect(textOf(page)).toContainText('The kettle was warm and nobody had lit the stove.', { timeout: 60_000 })
  await context.close()
  await rm(profile, { recursive: true, force: true })
})

test('full storage is said plainly, nothing is called saved, and nothing typed is lost', async ({ page }) => {
  await demo(page)
  await page.goto(`${book}/text`)
  await textOf(page).locator('p').first().waitFor()
  await page.waitForTimeout(1500)
  // The disk is full for every write of text from here on.
  await page.evaluate(() => {
    const put = IDBObjectStore.prototype.put
    const w = window as unknown as { full: boolean }
    w.full = true
    IDBObjectStore.prototype.put = function (this: IDBObjectStore, ...args: [unknown, IDBValidKey?]) {
      if (w.full && this.name === 'sections') throw new DOMException('no room', 'QuotaExceededError')
      return put.apply(this, args)
    }
  })
  await textOf(page).locator('p').first().click()
  await page.keyboard.type('Brim ')
  await expect(page.getByRole('alert').filter({ hasText: 'storage is full' })).toBeVisible()
  await expect(page.locator('.saving')).toHaveText('not saved')
  await page.evaluate(() => {
    ;(window as unknown as { full: boolean }).full = false
  })
  await expect(page.locator('.saving')).toHaveText('saved', { timeout: 10_000 })
  await expect(page.getByRole('alert').filter({ hasText: 'storage is full' })).toBeHidden()
  await page.reload()
  await expect(textOf(page)).toContainText('Brim')
})

test('HTML that comes in is inert: pasted and imported', async ({ page, context }) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write'])
  await demo(page)
  await page.goto(`${book}/text`)
  await textOf(page).locator('p').first().click()
  await page.evaluate(async () => {
    const html =
      '<p>Plain <b>bold</b><script>window.ran = 1</script><img src="x" onerror="window.ran = 2"><a href="javascript:window.ran=3">here</a><iframe srcdoc="<script>parent.ran = 4</script>"></iframe></p>'
    await navigator.clipboard.write([
      new ClipboardItem({
        'text/html': new Blob([html], { type: 'text/html' }),
        'text/plain': new Blob(['x'], { type: 'text/plain' }),
      }),
    ])
  })
  await page.keyboard.press('Control+v')
  await expect(textOf(page).locator('strong').filter({ hasText: 'bold' })).toBeVisible()
  expect(await textOf(page).locator('script, iframe, img[onerror]').count()).toBe(0)
  expect(await textOf(page).locator('a[href^="javascript"]').count()).toBe(0)
  await page.goto('/')
  await page.getByLabel('Manuscript file').setInputFiles({
    name: 'rough.md',
    mimeType: 'text/markdown',
    buffer: Buffer.from(
      '# Chapter One\n\n<script>window.ran = 5</script>\n\nText <img src=x onerror="window.ran=6"> goes on.\n\n# Chapter Two\n\n[a link](javascript:window.ran=7)\n',
    ),
  })
  await page.getByRole('button', { name: 'Put it on the porch' }).click({ timeout: 30_000 })
  await page.getByRole('link', { name: 'Text', exact: true }).click()
  await expect(textOf(page)).toBeVisible({ timeout: 30_000 })
  expect(await textOf(page).locator('script, img[onerror], a[href^="javascript"]').count()).toBe(0)
  expect(await page.evaluate(() => (window as unknown as { ran?: number }).ran)).toBeUndefined()
})

test.describe('with what serves without a network', () => {
  test.use({ serviceWorkers: 'allow' })
  long('without a network after the first visit: porch, text and pages are there', async ({ page, context }) => {
    await demo(page)
    await expect
      .poll(
        () =>
          page.evaluate(
            async () =>
              !!navigator.serviceWorker.controller &&
              (await navigator.serviceWorker.getRegistration())?.active?.state === 'activated',
          ),
        { timeout: 60_000 },
      )
      .toBe(true)
    await context.setOffline(true)
    await page.goto('/')
    await expect(page.getByRole('listitem')).toHaveCount(3, { timeout: 60_000 })
    await page.goto(`${book}/text`)
    await textOf(page).locator('p').first().click({ timeout: 30_000 })
    await page.keyboard.type('Offline ')
    await expect(page.locator('.saving')).toHaveText('saved')
    await page.goto('/book/small-apiary-logbook/pages')
    await expect(page.locator('.flatplan [data-painted=true]').first()).toBeVisible({ timeout: 30_000 })
    await page.goto('/research')
    await page.getByRole('textbox', { name: 'A word or phrase' }).fill('tide')
    await page.keyboard.press('Enter')
    await expect(page.getByRole('alert').filter({ hasText: 'cannot be reached' })).toBeVisible()
    await context.setOffline(false)
  })
})
