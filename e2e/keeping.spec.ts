import { type BrowserContext, chromium, expect, type Page } from '@playwright/test'
import { createCanvas } from '@napi-rs/canvas'
import { execFileSync } from 'node:child_process'
import { randomFillSync } from 'node:crypto'
import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { long, shorterLibrary, test } from './library'

/** Nothing is lost: whatever two windows do, whenever a window goes, wherever there is no room. */
const DEEP = !!process.env.DEEP
const book = '/book/tidewardens-almanac'
const textOf = (page: Page) => page.getByRole('textbox', { name: 'Text of the section' })
const saved = (page: Page) => expect(page.locator('.saving')).toHaveText('saved', { timeout: 15_000 })

async function demo(page: Page): Promise<void> {
  await page.goto('/')
  await expect(page.getByRole('listitem')).toHaveCount(3, { timeout: 60_000 })
}
async function write(page: Page, at: number): Promise<void> {
  await textOf(page).locator('p').nth(at).click()
  await page.keyboard.press('End')
}
/** All words of the book as the store has them, with what waits beside it. */
const stored = (page: Page) =>
  page.evaluate(
    () =>
      new Promise<string>((done, fail) => {
        const open = indexedDB.open('porchlight')
        open.onerror = () => fail(open.error)
        open.onsuccess = () => {
          const tx = open.result.transaction(['sections', 'pieces'])
          const [a, b] = [tx.objectStore('sections').getAll(), tx.objectStore('pieces').getAll()]
          tx.oncomplete = () => {
            done(
              JSON.stringify(a.result.map((s: { doc: unknown }) => s.doc)).replace(
                /"\},\{"type":"text","text":"/g,
                '',
              ) + JSON.stringify(b.result),
            )
            open.result.close()
          }
        }
      }),
  )

test('words of a window that is taken over stand beside those of the other, and undo goes on', async ({ context }) => {
  const a = await context.newPage()
  await demo(a)
  await a.goto(`${book}/text`)
  await textOf(a).locator('p').first().waitFor()
  const b = await context.newPage()
  await b.goto(`${book}/text`)
  await expect(b.getByRole('button', { name: 'Write here instead' })).toBeVisible()
  await write(a, 0)
  await a.keyboard.type('Qualm, and the last of it', { delay: 0 })
  // Taken over before a rest: what A has not written yet must still come in.
  await b.getByRole('button', { name: 'Write here instead' }).click()
  await expect(textOf(b)).toHaveAttribute('contenteditable', 'true')
  await write(b, 2)
  for (let i = 0; i < 8; i++) await b.keyboard.type(`Zephyr ${i} crossed the bar. `, { delay: 1 })
  await saved(b)
  await expect(textOf(b)).toContainText('Qualm, and the last of it')
  const end = await textOf(b).innerText()
  await b.close()
  await expect(textOf(a)).toHaveAttribute('contenteditable', 'true')
  await expect(textOf(a)).toContainText('Zephyr 7 crossed the bar.')
  expect(await textOf(a).innerText()).toBe(end)
  // One stack: all of it goes back, and comes again.
  for (let i = 0; i < 30 && (await a.getByRole('button', { name: 'Undo' }).isEnabled()); i++) {
    await a.getByRole('button', { name: 'Undo' }).click()
    await a.waitForTimeout(120)
  }
  await expect(textOf(a)).not.toContainText('Zephyr')
  await expect(textOf(a)).not.toContainText('Qualm')
  for (let i = 0; i < 30 && (await a.getByRole('button', { name: 'Redo' }).isEnabled()); i++) {
    await a.getByRole('button', { name: 'Redo' }).click()
    await a.waitForTimeout(120)
  }
  await expect.poll(() => textOf(a).innerText()).toBe(end)
})

test('random walks of two and three windows lose no letter', async ({ context }) => {
  test.setTimeout(DEEP ? 2 * 3_600_000 : 300_000)
  const walks = DEEP ? 200 : 1
  // A short book: what is tried is the store and its windows, and the press has little to set.
  const small = '/book/lampblack-regatta/text'
  const first = await context.newPage()
  await demo(first)
  let seed = 20261126
  const chance = (n: number): number => {
    seed = (seed * 1103515245 + 12345) % 2147483648
    return seed % n
  }
  let word = 0
  const typed: string[] = []
  const lostWords = async (): Promise<string[]> => {
    const all = await stored(first)
    return typed.filter(w => all.split(w).length !== 2)
  }
  for (let walk = 0; walk < walks; walk++) {
    // What earlier windows left is played by the next one that opens the book.
    if (walk % 20 === 19) await expect.poll(lostWords, { timeout: 20_000 }).toEqual([])
    const pages: Page[] = []
    for (let i = 0; i < 2 + (walk % 2); i++) {
      const p = await context.newPage()
      await p.goto(small)
      await textOf(p).locator('p').first().waitFor()
      pages.push(p)
    }
    for (let step = 0; step < 6; step++) {
      const p = pages[chance(pages.length)]!
      const take = p.getByRole('button', { name: 'Write here instead' })
      // A window that was opened a moment ago may still be asking whether another writes.
      await expect(async () => {
        if (await take.isVisible()) await take.click()
        await expect(textOf(p)).toHaveAttribute('contenteditable', 'true', { timeout: 1000 })
      }).toPass({ timeout: 30_000 })
      await write(p, chance(4))
      const w = `W${++word}x`
      await p.keyboard.type(`${w} `, { delay: chance(3) })
      typed.push(w)
      if (chance(3) === 0) await p.waitForTimeout(chance(400))
    }
    for (const p of pages) {
      await expect(p.locator('.saving')).toHaveText(/^(saved|following)$/, { timeout: 15_000 })
      if (chance(2)) await p.close()
      else await p.reload().then(() => p.close())
    }
  }
  await first.goto(small)
  await textOf(first).waitFor()
  await expect.poll(lostWords, { timeout: 20_000 }).toEqual([])
  // Windows that are gone leave nothing behind: this one's file is the only one.
  await expect
    .poll(
      () =>
        first.evaluate(async () => {
          const folder = await (await navigator.storage.getDirectory()).getDirectoryHandle('porchlight-journal')
          let n = 0
          for await (const _ of (folder as unknown as { keys(): AsyncIterable<string> }).keys()) n++
          return n
        }),
      { timeout: 20_000 },
    )
    .toBe(1)
})

test.describe('the last key', () => {
  // In the deep run every wait before every way of going; here each wait twice.
  const before = { reload: [0, 60], close: [20, 120], crash: [0, 120] }
  for (const way of ['reload', 'close', 'crash'] as const) {
    long(`is kept before a ${way}`, async ({ context }) => {
      let page = await context.newPage()
      await demo(page)
      await page.goto(`${book}/text`)
      const all: string[] = []
      for (const wait of DEEP ? [0, 20, 60, 120] : before[way]) {
        await textOf(page).locator('p').first().waitFor()
        await write(page, 1)
        const word = `Last${way}${wait}x`
        await page.keyboard.type(` ${word}`)
        if (wait) await page.waitForTimeout(wait)
        all.push(word)
        if (way === 'reload') await page.reload()
        else if (way === 'close') {
          await page.close()
          page = await context.newPage()
          await page.goto(`${book}/text`)
        } else {
          const session = await context.newCDPSession(page)
          await Promise.race([session.send('Page.crash').catch(() => undefined), new Promise(r => setTimeout(r, 1500))])
          await page.close().catch(() => undefined)
          page = await context.newPage()
          await page.goto(`${book}/text`)
        }
        await expect(textOf(page)).toContainText(word, { timeout: 20_000 })
        expect((await textOf(page).innerText()).split(word)).toHaveLength(2)
      }
      for (const w of all) expect(await textOf(page).innerText()).toContain(w)
    })
  }

  long('is kept when the whole browser is killed', async ({}, info) => {
    const profile = await mkdtemp(join(tmpdir(), 'porchlight-'))
    const launch = (): Promise<BrowserContext> =>
      chromium.launchPersistentContext(profile, {
        ...info.project.use.launchOptions,
        baseURL: 'http://localhost:4311',
        viewport: { width: 1280, height: 800 },
      })
    let context = await launch()
    await shorterLibrary(context)
    let page = await context.newPage()
    await demo(page)
    for (const wait of [0, 60]) {
      await page.goto(`${book}/text`)
      await textOf(page).locator('p').first().waitFor()
      await write(page, 0)
      await page.keyboard.type(`Killed${wait}`)
      if (wait) await page.waitForTimeout(wait)
      // Every process of this browser and of no other.
      try {
        execFileSync('pkill', ['-9', '-f', `user-data-dir=${profile}`])
      } catch {
        // They end while the list is made.
      }
      await Promise.race([context.close().catch(() => undefined), new Promise(r => setTimeout(r, 3000))])
      context = await launch()
      page = await context.newPage()
      await page.goto(`${book}/text`)
      await expect(textOf(page)).toContainText(`Killed${wait}`, { timeout: 30_000 })
    }
    await context.close()
    await rm(profile, { recursive: true, force: true })
  })
})

/** A picture that no packing makes smaller. */
async function noise(width: number, height: number): Promise<Buffer> {
  const canvas = createCanvas(width, height)
  const ctx = canvas.getContext('2d')
  const pixels = ctx.createImageData(width, height)
  randomFillSync(pixels.data)
  for (let i = 3; i < pixels.data.length; i += 4) pixels.data[i] = 255
  ctx.putImageData(pixels, 0, 0)
  return canvas.encode('png')
}

test('a disk that is full: words wait over sections, rooms and a reload; every door says what did not fit and what makes room', async ({
  page,
  context,
}) => {
  const cdp = await context.newCDPSession(page)
  // The browser's own quota, from the first visit on: it holds the demo library and little more.
  await page.goto('/preferences')
  await cdp.send('Storage.overrideQuotaForOrigin', { origin: 'http://localhost:4311', quotaSize: 9_000_000 })
  await demo(page)
  await page.goto(`${book}/text`)
  await textOf(page).locator('p').first().waitFor()
  await write(page, 0)
  const figures = await page.locator('.ProseMirror figure').count()
  const full = page.getByText(/did not fit: the store of this browser is full.*What makes room/)
  for (let i = 0; i < 4 && !(await full.first().isVisible()); i++) {
    await page
      .getByLabel('Picture file')
      .setInputFiles({ name: `grain-${i}.png`, mimeType: 'image/png', buffer: await noise(1900 + i, 1900) })
    await Promise.race([
      full
        .first()
        .waitFor({ timeout: 12_000 })
        .catch(() => undefined),
      page
        .locator('.ProseMirror figure')
        .nth(i + figures)
        .waitFor({ timeout: 12_000 })
        .catch(() => undefined),
    ])
  }
  await expect(full.first()).toContainText(/“grain-\d.png” \(1\d\.\d MB\) did not fit/)
  await page.goto('/')
  const letters = Array.from(
    { length: 600_000 },
    (_, i) => `${((i * 7919) % 99991).toString(36)}${((i * 104729) % 99989).toString(36)}`,
  )
  await page.getByLabel('Manuscript file').setInputFiles({
    name: 'tides.txt',
    mimeType: 'text/plain',
    buffer: Buffer.from(`CHAPTER ONE\n\n${letters.map((w, i) => w + (i % 300 === 299 ? '.\n\n' : '')).join(' ')}`),
  })
  await page.getByRole('button', { name: 'Put it on the porch' }).click({ timeout: 60_000 })
  await expect(full.filter({ hasText: '“tides”' })).toBeVisible({ timeout: 60_000 })
  // Every write of text fails from here on, in this window and after a reload.
  await page.addInitScript(() => {
    const put = IDBObjectStore.prototype.put
    IDBObjectStore.prototype.put = function (this: IDBObjectStore, ...args: [unknown, IDBValidKey?]) {
      if (this.name === 'sections' && sessionStorage.getItem('full'))
        throw new DOMException('no room', 'QuotaExceededError')
      return put.apply(this, args)
    }
  })
  await page.evaluate(() => sessionStorage.setItem('full', 'yes'))
  await page.goto(`${book}/text`)
  await textOf(page).locator('p').first().waitFor()
  await write(page, 0)
  await page.keyboard.type('Brimful')
  await expect(page.locator('.saving')).toHaveText('not saved')
  await page
    .getByLabel('Sections')
    .getByRole('button', { name: /Gauge|Well|Bar|Chapter|The/ })
    .nth(3)
    .click()
  await page.getByRole('link', { name: 'Plan', exact: true }).click()
  await expect(page.getByRole('heading', { name: 'The title' })).toBeVisible()
  await page.reload()
  await page.goto(`${book}/text`)
  await textOf(page).locator('p').first().waitFor()
  await cdp.send('Storage.overrideQuotaForOrigin', { origin: 'http://localhost:4311' })
  await page.evaluate(() => sessionStorage.removeItem('full'))
  await page.reload()
  await expect(textOf(page)).toContainText('Brimful', { timeout: 20_000 })
})

test('a book is taken down, rests, comes back, and goes for good with its pictures', async ({ page }) => {
  await demo(page)
  await expect(page.locator('.front img')).toHaveCount(3, { timeout: 60_000 })
  await page.getByRole('button', { name: 'Take The Tidewarden’s Almanac down' }).click()
  await expect(page.getByRole('heading', { name: 'Taken down' })).toBeVisible()
  await expect(page.getByText('30 days left')).toBeVisible()
  await page.getByRole('button', { name: 'Put The Tidewarden’s Almanac back on the porch' }).click()
  await expect(page.getByRole('heading', { name: 'Taken down' })).toBeHidden()
  await page.goto(`${book}/text`)
  await expect(textOf(page)).toContainText('Ada Pell')
  await page.goto('/')
  await page.getByRole('button', { name: 'Take The Tidewarden’s Almanac down' }).click()
  await page.getByRole('button', { name: 'Remove The Tidewarden’s Almanac for good' }).click()
  await page.getByRole('dialog').getByRole('button', { name: 'Remove it for good' }).click()
  await expect(page.getByText(/is gone\. \d.* (kB|MB) of pictures and files were freed/)).toBeVisible({
    timeout: 20_000,
  })
  await page.reload()
  await expect(page.getByRole('listitem').filter({ hasText: 'The Lampblack Regatta' })).toBeVisible({ timeout: 60_000 })
  expect(await page.getByText('The Tidewarden’s Almanac').count()).toBe(0)
})

long(
  'a following window changes nothing in any room, and what was typed in it stays in its field',
  async ({ context }) => {
    const writer = await context.newPage()
    await demo(writer)
    await writer.goto(`${book}/plan`)
    await expect(writer.getByLabel('Subtitle')).toBeEnabled()
    await writer.getByLabel('Subtitle').fill('Kept while it waits')
    const follower = await context.newPage()
    for (const room of ['plan', 'interior', 'cover', 'listings', 'text']) {
      await follower.goto(`${book}/${room}`)
      await expect(follower.getByText('open in another window', { exact: false })).toBeVisible({ timeout: 30_000 })
      await follower.waitForTimeout(1500)
      const open = await follower.evaluate(() =>
        [...document.querySelectorAll<HTMLInputElement>('#room input, #room textarea, #room select')]
          .filter(
            e =>
              !e.disabled &&
              !e.readOnly &&
              !e.closest('.ant-select-disabled') &&
              e.type !== 'file' &&
              !e.closest('.find, .values > .ant-segmented, .views') &&
              e.offsetParent,
          )
          .map(e => e.getAttribute('aria-label') ?? e.id ?? e.outerHTML.slice(0, 80)),
      )
      expect(
        open.filter(o => !/zones|Picture covers|^$/.test(o)),
        room,
      ).toEqual([])
    }
    // Taken over with a word in a field: the field rests and keeps it.
    await follower.goto(`${book}/plan`)
    await follower.getByRole('button', { name: 'Write here instead' }).click()
    await expect(follower.getByLabel('Subtitle')).toBeEnabled()
    await expect(writer.getByLabel('Subtitle')).toBeDisabled()
    await expect(writer.getByLabel('Subtitle')).toHaveValue('Kept while it waits')
    await follower.close()
    await expect(writer.getByLabel('Subtitle')).toBeEnabled()
    await writer.getByLabel('Subtitle').press('Enter')
    await expect(writer.getByRole('button', { name: 'Undo' })).toBeEnabled()
    await writer.reload()
    await expect(writer.getByLabel('Subtitle')).toHaveValue('Kept while it waits')
  },
)

long(
  'a backup is held against what is here: beside, instead, and never under a writer without asking there',
  async ({ context }) => {
    const page = await context.newPage()
    await demo(page)
    await page.goto('/backup')
    const download = page.waitForEvent('download')
    await page.getByRole('button', { name: 'Back up the whole library' }).click()
    const file = await (await download).path()
    const writer = await context.newPage()
    await writer.goto(`${book}/text`)
    await write(writer, 0)
    await writer.keyboard.type(' Newer than the backup.')
    await saved(writer)
    const choose = async (where: string): Promise<void> => {
      await page.getByLabel('Backup file').setInputFiles(file)
      const item = page
        .getByLabel('What the backup holds')
        .getByRole('listitem')
        .filter({ hasText: 'The Tidewarden’s Almanac' })
      await expect(item).toContainText('What is here is newer by', { timeout: 30_000 })
      await item.getByLabel('The Tidewarden’s Almanac: where it goes').click()
      await page.locator('.ant-select-item-option').filter({ hasText: where }).click()
      await page.getByRole('button', { name: 'Put it back' }).click()
    }
    await choose('takes the place of what is here')
    const question = writer.getByRole('alertdialog', { name: 'A question from another window' })
    await expect(question).toBeVisible()
    await question.getByRole('button', { name: 'Keep what is here' }).click()
    await expect(page.getByText('another window writes it and did not agree')).toBeVisible()
    await expect(textOf(writer)).toContainText('Newer than the backup.')
    await choose('goes beside what is here')
    await expect(page.getByText('1 book was put back.')).toBeVisible()
    await choose('takes the place of what is here')
    await question.getByRole('button', { name: 'Let it' }).click()
    await expect(textOf(writer)).not.toContainText('Newer than the backup.', { timeout: 20_000 })
    await page.goto('/')
    await expect(page.getByText('The Tidewarden’s Almanac (from a backup)')).toBeVisible({ timeout: 60_000 })
    // What was replaced is a kept version.
    expect(
      await page.evaluate(
        () =>
          new Promise(done => {
            const open = indexedDB.open('porchlight')
            open.onsuccess = () => {
              const all = open.result.transaction('versions').objectStore('versions').getAll()
              all.onsuccess = () => done(all.result.map((v: { label: string }) => v.label))
            }
          }),
      ),
    ).toEqual(['Before a backup was put in its place'])
  },
)

test('books that are stored wrong stand on the porch with their trouble; they are mended, and stop no other', async ({
  page,
}) => {
  await demo(page)
  await page.evaluate(
    () =>
      new Promise<void>(done => {
        const open = indexedDB.open('porchlight')
        open.onsuccess = () => {
          const tx = open.result.transaction('books', 'readwrite')
          const books = tx.objectStore('books')
          for (const [id, change] of [
            [
              'tidewardens-almanac',
              (b: Record<string, Record<string, unknown>>) => {
                b.data!.title = { a: 1 }
              },
            ],
            [
              'small-apiary-logbook',
              (b: Record<string, { runs: { pages: number }[] }>) => {
                b.plan!.runs[0]!.pages = 1e9
              },
            ],
          ] as const) {
            const get = books.get(id)
            get.onsuccess = () => {
              ;(change as (b: unknown) => void)(get.result)
              books.put(get.result)
            }
          }
          tx.objectStore('books')
          tx.oncomplete = () => {
            open.result.close()
            done()
          }
        }
      }),
  )
  await page.goto('/')
  await expect(page.locator('.row.bad')).toHaveCount(2, { timeout: 60_000 })
  await expect(page.getByText('The title wants text')).toBeVisible()
  await expect(
    page.getByRole('listitem').filter({ hasText: 'The Lampblack Regatta' }).locator('.edition').first(),
  ).toBeVisible({ timeout: 60_000 })
  for (const room of ['plan', 'text', 'interior', 'listings']) {
    await page.goto(`${book}/${room}`)
    await expect(page.getByRole('link', { name: 'Porch' })).toBeVisible()
    await expect(page.getByText(/cannot be shown|wants text/).first()).toBeVisible({ timeout: 30_000 })
  }
  await page.goto('/')
  for (let i = 0; i < 2; i++) {
    await page.locator('.row.bad').first().getByRole('button', { name: 'Mend it' }).click()
    await page.getByRole('dialog').last().getByRole('button', { name: 'OK' }).click()
    await expect(page.locator('.row.bad')).toHaveCount(1 - i, { timeout: 30_000 })
  }
  await page.goto(`${book}/text`)
  await expect(textOf(page)).toContainText('Ada Pell')
})
