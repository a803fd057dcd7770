import { createCanvas } from '@napi-rs/canvas'
import { expect, type Page, type Worker } from '@playwright/test'
import { Document, ImageRun, Packer, Paragraph } from 'docx'
import { long, test } from './library'

/** What comes in and what answers: scripts of nobody else, a press that dies, settings that leave no room. */
const book = '/book/tidewardens-almanac'
async function demo(page: Page): Promise<void> {
  await page.goto('/')
  await expect(page.getByRole('listitem')).toHaveCount(3, { timeout: 60_000 })
}

test.describe('with what serves without a network', () => {
  test.use({ serviceWorkers: 'allow' })
  test('pages run their own scripts by a nonce and no others, with or without a network', async ({ page, context }) => {
    const refused: string[] = []
    page.on('console', m => /Content Security Policy|Refused to/.test(m.text()) && refused.push(m.text()))
    await demo(page)
    for (const path of ['/', '/research', `${book}/plan`, `${book}/text`, `${book}/interior`, '/backup']) {
      const answer = (await page.goto(path))!
      const csp = answer.headers()['content-security-policy']!
      const scripts = /script-src ([^;]+)/.exec(csp)![1]!
      expect(scripts).toMatch(/'nonce-[^']+'/)
      expect(scripts).not.toContain('unsafe-inline')
      expect(scripts).not.toContain("'unsafe-eval'")
      expect(answer.headers()['cache-control']).not.toMatch(/s-maxage|public|max-age=[1-9]/)
      expect([
        answer.headers()['cross-origin-opener-policy'],
        answer.headers()['permissions-policy']?.includes('camera=()'),
      ]).toEqual(['same-origin', true])
      await page.locator('#room').waitFor({ timeout: 30_000 })
      await page.evaluate(() => {
        const s = document.createElement('script')
        s.textContent = 'window.ran = 1'
        document.body.append(s)
      })
      expect(await page.evaluate(() => (window as unknown as { ran?: number }).ran)).toBeUndefined()
    }
    expect(refused.filter(r => !/script-src/.test(r) || !/inline/.test(r))).toEqual([])
    await expect
      .poll(() => page.evaluate(async () => (await navigator.serviceWorker.getRegistration())?.active?.state), {
        timeout: 60_000,
      })
      .toBe('activated')
    await context.setOffline(true)
    await page.goto(`${book}/plan`)
    await expect(page.getByRole('heading', { name: 'The title' })).toBeVisible({ timeout: 30_000 })
    await page.goto('/book/small-apiary-logbook/pages')
    await expect(page.locator('#room')).toBeVisible({ timeout: 30_000 })
    await context.setOffline(false)
  })
})

const nameOf = (w: Worker): Promise<string> =>
  w.evaluate(() => (self as unknown as { name: string }).name).catch(() => '')
async function presses(page: Page): Promise<Worker[]> {
  const named = await Promise.all(page.workers().map(async w => ({ w, name: await nameOf(w) })))
  return named.filter(x => x.name === 'press').map(x => x.w)
}
const endPress = (w: Worker): Promise<void> =>
  w.evaluate(() => (self as unknown as { close(): void }).close()).catch(() => undefined)

long(
  'a press that dies is noticed, started anew once, and the room goes on; a picture that breaks it is named',
  async ({ page }) => {
    test.slow()
    await demo(page)
    await page.goto(`${book}/interior`)
    await expect(page.locator('.spread canvas[data-painted=true]').first()).toBeVisible({ timeout: 60_000 })
    const [first, ...others] = await presses(page)
    expect([!!first, others.length]).toEqual([true, 0])
    await endPress(first!)
    // Something is asked of it: the answer never comes, and the page notices.
    await page.getByLabel('Text size').fill('11.5')
    await page.getByLabel('Text size').press('Enter')
    // Figures of the new size come, and pages of it, from another.
    await expect(page.locator('.sill s').first()).toBeVisible({ timeout: 100_000 })
    await expect(page.locator('.spread canvas[data-painted=true]').first()).toBeVisible({ timeout: 60_000 })
    const [second] = await presses(page)
    expect(second).toBeDefined()
    expect(second).not.toBe(first)
    await expect(page.getByText('broke down')).toHaveCount(0)

    // A picture at which every press dies is named at the door, and the porch goes on.
    await page.goto('/')
    await expect(page.locator('.front img').nth(2)).toBeVisible({ timeout: 60_000 })
    const [press] = await presses(page)
    await press!.evaluate(() =>
      Object.assign(self, {
        createImageBitmap: () => new Promise(() => (self as unknown as { close(): void }).close()),
      }),
    )
    const plate = createCanvas(40, 40)
    const file = await Packer.toBuffer(
      new Document({
        sections: [
          {
            children: [
              new Paragraph('Words before the plate.'),
              new Paragraph({
                children: [
                  new ImageRun({
                    type: 'png',
                    data: plate.toBuffer('image/png'),
                    transformation: { width: 40, height: 40 },
                  }),
                ],
              }),
            ],
          },
        ],
      }),
    )
    await page.getByLabel('Manuscript file').setInputFiles({
      name: 'plates.docx',
      mimeType: 'application/vnd.openxmlformats-officedocument.wordprocessingml.document',
      buffer: file,
    })
    await expect(page.getByText(/plates\.docx: The press broke down at the picture “.+\.png”/)).toBeVisible({
      timeout: 60_000,
    })
    await expect(page.getByRole('listitem')).toHaveCount(3)
    await page.getByLabel('Manuscript file').setInputFiles({
      name: 'plates.docx',
      mimeType: 'application/vnd.openxmlformats-officedocument.wordprocessingml.document',
      buffer: file,
    })
    await expect(page.getByRole('button', { name: 'Put it on the porch' })).toBeVisible({ timeout: 60_000 })
  },
)

test('a damaged picture is named with its place, and a marked box stands for it', async ({ page }) => {
  await demo(page)
  const plate = createCanvas(900, 600)
  plate.getContext('2d').fillRect(100, 100, 300, 200)
  const png = plate.toBuffer('image/png')
  const picture = (data: Buffer) =>
    new Paragraph({ children: [new ImageRun({ type: 'png', data, transformation: { width: 300, height: 200 } })] })
  const file = await Packer.toBuffer(
    new Document({
      sections: [
        {
          children: [
            new Paragraph('Words before the plates.'),
            picture(png),
            picture(png.subarray(0, png.length - 200)),
            new Paragraph('Words behind them.'),
          ],
        },
      ],
    }),
  )
  await page.getByLabel('Manuscript file').setInputFiles({
    name: 'plates.docx',
    mimeType: 'application/vnd.openxmlformats-officedocument.wordprocessingml.document',
    buffer: file,
  })
  await expect(page.getByText(/1 × pictures that are damaged: a marked box stands in their place/)).toBeVisible({
    timeout: 60_000,
  })
  await page.getByRole('button', { name: 'Put it on the porch' }).click()
  await page.waitForURL(/\/book\/.*\/plan/)
  const address = page.url().replace(/plan$/, '')
  await page.goto(`${address}interior`)
  await expect(page.locator('.spread canvas[data-painted=true]').first()).toBeVisible({ timeout: 60_000 })
  await page.goto(`${address}check`)
  await expect(
    page.getByText(/is damaged and cannot be printed: a marked box stands in its place\./).first(),
  ).toBeVisible({ timeout: 60_000 })
})

long('settings that leave no room are said in the room, with the notes to put it right', async ({ page }) => {
  await demo(page)
  await page.evaluate(
    () =>
      new Promise<void>(done => {
        const open = indexedDB.open('porchlight')
        open.onsuccess = () => {
          const tx = open.result.transaction('books', 'readwrite')
          const get = tx.objectStore('books').get('tidewardens-almanac')
          get.onsuccess = () => {
            const b = get.result as { editions: { id: string; trim: string; styleChanges?: Record<string, number> }[] }
            b.editions[0]!.trim = '5x8in'
            b.editions[0]!.styleChanges = {
              'text.size': 24,
              'text.leading': 36,
              'margins.outside': 1.5,
              'margins.inside': 1.5,
              'margins.head': 1.8,
              'margins.foot': 1.8,
            }
            tx.objectStore('books').put(b)
          }
          tx.oncomplete = () => {
            open.result.close()
            done()
          }
        }
      }),
  )
  await page.goto(`${book}/interior`)
  await expect(page.getByRole('heading', { name: 'These pages cannot be set' })).toBeVisible({ timeout: 60_000 })
  await expect(page.getByText('The margins leave no room for text on this trim.').first()).toBeVisible()
  await page.getByLabel('Text size').fill('11')
  await page.getByLabel('Text size').press('Enter')
  for (const m of ['Outside margin', 'Inside margin'])
    if (await page.getByLabel(m).count()) {
      await page.getByLabel(m).first().fill('0.6')
      await page.getByLabel(m).first().press('Enter')
    }
  await expect(page.locator('.spread canvas[data-painted=true]').first()).toBeVisible({ timeout: 90_000 })
  await page.goto('/')
  await expect(
    page.getByRole('listitem').filter({ hasText: 'The Lampblack Regatta' }).locator('.edition').first(),
  ).toBeVisible({ timeout: 60_000 })
})
