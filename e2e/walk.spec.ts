import { expect, type Page } from '@playwright/test'
import { Document, HeadingLevel, Packer, Paragraph, TextRun } from 'docx'
import { unzipSync } from 'fflate'
import { readFile } from 'node:fs/promises'
import { longText } from '../scripts/lib/longText'
import { long, test } from './library'
import { value } from './sentence'

/** One book from the porch to on sale: the whole job in the real interface. */

test.use({ serviceWorkers: 'allow', library: 'all' })

const chapters = longText(15_000, 8, 3)

async function manuscript(): Promise<Buffer> {
  const body = chapters.flatMap((paras, i) => [
    new Paragraph({ heading: HeadingLevel.HEADING_1, children: [new TextRun(`Chapter ${i + 1}`)] }),
    ...paras.map(t => new Paragraph({ children: [new TextRun(t)] })),
  ])
  return Packer.toBuffer(
    new Document({ title: 'The Ferry at Low Water', creator: 'Orla Fenwright', sections: [{ children: body }] }),
  )
}

const sill = (page: Page) => page.getByLabel('Sill')
const figure = (page: Page, name: string) => sill(page).locator('.figure').filter({ hasText: name })
const pages = async (page: Page): Promise<number> => Number(await figure(page, 'Pages').locator('b').textContent())
const stage = (page: Page, name: string) =>
  page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name, exact: true }).click()
const rail = (page: Page, name: string) =>
  page.getByRole('navigation', { name: 'Rooms' }).getByRole('link', { name, exact: true }).click()
async function field(page: Page, label: string, value: string): Promise<void> {
  const f = page.getByLabel(label, { exact: true }).first()
  await f.fill(value)
  await f.blur()
}
const onBy = async (page: Page, words: string, times = 1): Promise<void> => {
  for (let i = 0; i < times; i++)
    await page.getByRole('group', { name: 'Simulated clock' }).getByRole('button', { name: words }).click()
}

test('the walk: from a .docx to on sale, and a revision behind it', async ({ page }) => {
  test.setTimeout(420_000)
  const outside: string[] = []
  page.on('request', r => {
    if (!r.url().startsWith('http://localhost:4311/') && !/^(data|blob):/.test(r.url())) outside.push(r.url())
  })
  const errors: string[] = []
  page.on('pageerror', e => errors.push(e.message))

  await test.step('porch: the demo books by series and imprint, lamps, what each needs', async () => {
    await page.goto('/')
    await expect(page.getByRole('listitem')).toHaveCount(6, { timeout: 60_000 })
    await expect(page.getByRole('heading', { name: 'The Merrow Sound Mysteries' })).toBeVisible()
    await expect(page.getByText('132 pp · A5')).toBeVisible({ timeout: 60_000 })
  })

  await test.step('intake: evidence, struck and taken by keyboard, then a book', async () => {
    await page.getByLabel('Manuscript file').setInputFiles({
      name: 'ferry.docx',
      mimeType: 'application/vnd.openxmlformats-officedocument.wordprocessingml.document',
      buffer: await manuscript(),
    })
    const list = page.getByRole('region', { name: 'Proposed sections' }).getByRole('listitem')
    await expect(list).toHaveCount(8, { timeout: 30_000 })
    await expect(list.nth(1)).toContainText('styled “heading 1”', { ignoreCase: true })
    await expect(page.getByRole('img', { name: /^Page / })).toBeVisible({ timeout: 30_000 })
    await page.locator('body').press('ArrowDown')
    await page.locator('body').press('s')
    await expect(list.nth(1)).toHaveClass(/struck/)
    await expect(figure(page, 'Sections')).toContainText('7')
    await page.locator('body').press('s')
    await expect(list.nth(1)).not.toHaveClass(/struck/)
    await expect(page.getByText('Nothing. Everything in the file stands in the book.')).toBeVisible()
    await page.getByRole('button', { name: 'Put it on the porch' }).click()
    await expect(page).toHaveURL(/\/book\/the-ferry-at-low-water\/plan/)
  })

  await test.step('plan: the data that everything uses', async () => {
    await expect(figure(page, 'Pages')).toBeVisible({ timeout: 30_000 })
    await field(page, 'Subtitle', 'A Lighthouse Mystery')
    await field(page, 'Imprint', 'Saltgrass Lane Press')
    await field(
      page,
      'Description',
      'The ferry has not run on a Sunday in living memory. This Sunday it comes in with nobody aboard, the wheel lashed, and the kettle warm.',
    )
    await field(page, 'ISBN', '978-0-00-000204-4')
    const prices = page.getByLabel('Price', { exact: true })
    await prices.nth(0).fill('13.99')
    await prices.nth(0).blur()
    await prices.nth(1).fill('4.99')
    await prices.nth(1).blur()
    await expect(figure(page, 'Royalty at $13.99')).toBeVisible()
  })

  await test.step('text: words typed are saved; undo over everything', async () => {
    await stage(page, 'Text')
    await page.getByRole('button', { name: /^Chapter Two/ }).click()
    const text = page.getByRole('textbox', { name: 'Text of the section' })
    await text.locator('p').first().click()
    await page.keyboard.press('Control+Home')
    await page.waitForTimeout(100)
    await page.keyboard.type('"The ferry," she said -- and stopped. ')
    await expect(text).toContainText('“The ferry,” she said — and stopped.')
    await expect(page.locator('.saving')).toHaveText('saved')
    // What was typed in one breath is one step; a slow machine breathes more often.
    await expect(async () => {
      await page.keyboard.press('Control+z')
      await expect(text).not.toContainText('The ferry,', { timeout: 1500 })
    }).toPass()
    await expect(async () => {
      await page.keyboard.press('Control+Shift+z')
      await expect(text).toContainText('“The ferry,” she said — and stopped.', { timeout: 1500 })
    }).toPass()
    await page.reload()
    await page.getByRole('button', { name: /^Chapter Two/ }).click()
    await expect(text).toContainText('“The ferry,” she said — and stopped.')
  })

  await test.step('interior: a value sets the book anew; a click on the page opens the text there', async () => {
    await stage(page, 'Interior')
    await expect(page.locator('.spread canvas[data-painted=true]')).toHaveCount(2, { timeout: 60_000 })
    const before = await pages(page)
    const size = page.getByRole('spinbutton', { name: 'Text size' })
    await size.fill('15')
    await size.press('Enter')
    await expect.poll(() => pages(page)).toBeGreaterThan(before)
    await page
      .locator('.spread .page')
      .nth(1)
      .click({ position: { x: 150, y: 250 } })
    await expect(page).toHaveURL(/\/text\?section=/)
    await expect(page.getByRole('textbox', { name: 'Text of the section' })).toBeFocused()
  })

  await test.step('cover: a field placed by numbers, small view', async () => {
    await stage(page, 'Cover')
    await page.getByRole('button', { name: 'Title on the front', exact: true }).click({ timeout: 30_000 })
    const size = page.getByRole('spinbutton', { name: 'Largest size, points' })
    await size.fill('44')
    await size.press('Enter')
    await expect(page.getByText(/^Set at /)).toBeVisible()
    await value(page, 'What is seen', 'the front small')
    await expect(page.getByRole('img', { name: /110 pixels high/ })).toBeVisible()
  })

  await test.step('research: a word, its phrases measured, the good ones kept and placed', async () => {
    await rail(page, 'Research')
    await page.getByRole('combobox', { name: 'Book' }).click()
    await page.getByTitle('The Ferry at Low Water').last().click()
    await page.getByRole('textbox', { name: 'A word or phrase' }).fill('lighthouse mystery')
    await page.keyboard.press('Enter')
    await expect(page.getByRole('checkbox', { name: 'Keep lighthouse mystery', exact: true })).toBeVisible()
    for (const p of ['cosy lighthouse mystery', 'historical lighthouse mystery']) {
      const box = page.getByRole('checkbox', { name: `Keep ${p}`, exact: true })
      if (!(await box.count())) continue
      await box.click()
      await page.getByRole('combobox', { name: `Place of ${p}` }).click()
      await page
        .locator('.ant-select-dropdown:visible .ant-select-item-option-content')
        .getByText('slot', { exact: true })
        .click()
    }
    await expect(figure(page, 'Placed')).not.toContainText('Placed0')
    await page.getByRole('button', { name: 'lighthouse mystery', exact: true }).first().click()
    await expect(page.getByText('Its first page.', { exact: false })).toBeVisible()
    await expect(page.locator('.first li')).toHaveCount(10)
  })

  await test.step('check: findings with their places', async () => {
    await page.goto('/book/the-ferry-at-low-water/check')
    await expect(page.getByText('The rights are not stated.')).toBeVisible({ timeout: 60_000 })
    await page.getByRole('link', { name: 'To the listing' }).first().click()
    await expect(page).toHaveURL(/\/listings/)
  })

  const sheet = page.locator('.sheet')
  await test.step('listings: the paperback, its package, sent and on sale', async () => {
    await page.getByRole('button', { name: /^Paperback at Ostrevane/ }).click({ timeout: 60_000 })
    await sheet.getByRole('button', { name: /^Pack from/ }).click()
    await expect(sheet.getByLabel('Slot 1', { exact: true })).not.toHaveValue('')
    await sheet.getByRole('combobox', { name: 'Categories' }).click()
    await page.getByTitle('Fiction / Sea stories').click()
    await page.keyboard.press('Escape')
    await sheet.getByText('Text, pictures and fonts are mine').click()
    await expect(sheet.getByText('Nothing stops it.')).toBeVisible()
    const download = page.waitForEvent('download')
    await sheet.getByRole('button', { name: 'Package as ZIP' }).click()
    const zip = unzipSync(new Uint8Array(await readFile(await (await download).path())))
    const names = Object.keys(zip).map(n => n.split('/')[1])
    expect(names).toEqual([
      'the-ferry-at-low-water-interior.pdf',
      'the-ferry-at-low-water-cover.pdf',
      'the-ferry-at-low-water-front.jpg',
      'the-ferry-at-low-water-listing.json',
    ])
    expect(new TextDecoder().decode(Object.values(zip)[0]!.slice(0, 5))).toBe('%PDF-')
    await sheet.getByRole('button', { name: 'Send', exact: true }).click()
    await expect(page.getByRole('button', { name: 'Paperback at Ostrevane: sent' })).toBeVisible({ timeout: 30_000 })
    await onBy(page, 'a day', 3)
    await expect(page.getByRole('button', { name: 'Paperback at Ostrevane: on sale' })).toBeVisible()
  })

  await test.step('listings: the ebook to two shops; one returned with its reasons, mended, on sale', async () => {
    await page.getByRole('button', { name: /^Ebook at Pellowick/ }).click()
    await sheet.getByRole('button', { name: 'Send', exact: true }).click()
    await page.getByRole('button', { name: 'Send it all the same' }).click({ timeout: 30_000 })
    await expect(page.getByRole('button', { name: 'Ebook at Pellowick: sent' })).toBeVisible()
    await onBy(page, 'a week')
    await expect(sheet.getByRole('alert')).toContainText('rights are not stated')
    await sheet.getByRole('combobox', { name: 'Categories' }).click()
    await page.getByTitle('FFJ Crime: cosy mystery').click()
    await page.keyboard.press('Escape')
    await sheet.getByText('Text, pictures and fonts are mine').click()
    await expect(sheet.getByText('Nothing stops it.')).toBeVisible()
    await sheet.getByRole('button', { name: 'Send', exact: true }).click()
    await expect(page.getByRole('button', { name: /^Ebook at Pellowick: (sent|in review)/ })).toBeVisible({
      timeout: 30_000,
    })
    await page.getByRole('button', { name: /^Ebook at Ostrevane/ }).click()
    await sheet.getByRole('combobox', { name: 'Categories' }).click()
    await page.getByTitle('Fiction / Sea stories').click()
    await page.keyboard.press('Escape')
    await sheet.getByText('Text, pictures and fonts are mine').click()
    await sheet.getByRole('button', { name: 'Send', exact: true }).click()
    await expect(page.getByRole('button', { name: /^Ebook at Ostrevane: sent/ })).toBeVisible({ timeout: 30_000 })
    await onBy(page, 'a week')
    await expect(page.getByRole('button', { name: 'Ebook at Ostrevane: on sale' })).toBeVisible()
    await expect(page.getByRole('button', { name: 'Ebook at Pellowick: on sale' })).toBeVisible()
  })

  await test.step('the chain: a longer chapter moves pages, spine, wrap, cost, royalty; the lamp drifts; refit, revision, burning', async () => {
    await page.getByRole('button', { name: /^Paperback at Ostrevane/ }).click()
    await stage(page, 'Text')
    const text = page.getByRole('textbox', { name: 'Text of the section' })
    await expect(figure(page, 'Pages')).toBeVisible({ timeout: 30_000 })
    const before = await pages(page)
    await text.locator('p').first().click()
    await page.keyboard.press('Control+Home')
    await page.waitForTimeout(100)
    await page.keyboard.insertText(chapters.slice(0, 2).flat().join(' ') + ' ')
    await expect.poll(() => pages(page), { timeout: 20_000 }).toBeGreaterThan(before + 3)
    for (const name of ['Pages', 'Spine', 'Wrap', 'Print', 'Royalty'])
      await expect(figure(page, name).locator('s')).toBeVisible()
    await expect(
      page.getByRole('group', { name: 'Editions' }).getByRole('button', { name: /Paperback drifted/ }),
    ).toBeVisible()
    await expect(sill(page)).toContainText(/The cover was drawn for \d+ pages/)
    await stage(page, 'Cover')
    await page.getByRole('button', { name: /^Refit to \d+ pages/ }).click({ timeout: 30_000 })
    await expect(page.getByRole('button', { name: /^Refit to/ })).toBeHidden()
    await stage(page, 'Listings')
    await page.getByRole('button', { name: 'Paperback at Ostrevane: drifted' }).click()
    await expect(
      page.getByRole('table', { name: 'On sale beside now' }).getByRole('row', { name: /pages/ }),
    ).toBeVisible()
    await sheet.getByRole('button', { name: 'Send the revision' }).click()
    await expect(page.getByRole('button', { name: 'Paperback at Ostrevane: revision waiting' })).toBeVisible({
      timeout: 30_000,
    })
    await onBy(page, 'a week')
    await expect(page.getByRole('button', { name: 'Paperback at Ostrevane: on sale' })).toBeVisible()
    await rail(page, 'Porch')
    await expect(
      page.getByRole('listitem').filter({ hasText: 'The Ferry at Low Water' }).getByText('on sale').first(),
    ).toBeVisible({ timeout: 60_000 })
  })

  await test.step('ledger: the first statements and their chart', async () => {
    await rail(page, 'Ledger')
    await onBy(page, '30 days', 2)
    await expect(page.getByRole('img', { name: /^Royalties by month: 2026-06/ })).toBeVisible()
    await expect(page.getByRole('row', { name: /2026-07.*Pellowick.*The Ferry at Low Water.*Ebook/ })).toBeVisible()
  })

  await test.step('backup: out, in, and out again, byte for byte', async () => {
    await rail(page, 'Backup')
    const out = async (): Promise<Buffer> => {
      const download = page.waitForEvent('download')
      await page.getByRole('button', { name: 'Back up the whole library' }).click()
      return readFile(await (await download).path())
    }
    const first = await out()
    await page
      .getByLabel('Backup file')
      .setInputFiles({ name: 'library.zip', mimeType: 'application/zip', buffer: first })
    await expect(page.getByText('Stands here letter for letter.')).toHaveCount(7, { timeout: 30_000 })
    await page.getByRole('button', { name: 'Put it back' }).click()
    await expect(page.getByText('Its books stand here already: none was changed.')).toBeVisible({ timeout: 30_000 })
    expect((await out()).equals(first)).toBe(true)
    await page
      .getByLabel('Backup file')
      .setInputFiles({ name: 'no.zip', mimeType: 'application/zip', buffer: Buffer.from('nothing of the kind') })
    await expect(page.getByText('This file is no backup of a Porchlight library.')).toBeVisible()
  })

  await test.step('preferences: millimetres on the sill, the desk', async () => {
    await rail(page, 'Preferences')
    await page.getByRole('combobox', { name: 'Lengths in' }).click()
    await page.getByTitle('millimetres').click()
    await page.goto('/book/the-ferry-at-low-water/interior')
    await expect(figure(page, 'Spine')).toContainText('mm', { timeout: 60_000 })
  })

  expect(outside).toEqual([])
  expect(errors).toEqual([])
})

long('a coil book of planned pages: runs, mirrored margins, and on sale at the print house', async ({ page }) => {
  test.setTimeout(180_000)
  await page.goto('/')
  await page.getByRole('button', { name: 'New book' }).click({ timeout: 60_000 })
  await page.getByLabel('Title').fill('Tide Notes')
  await page.getByLabel('Author').fill('Orla Fenwright')
  await page.getByRole('combobox', { name: 'Kind of book' }).click()
  await page.getByTitle('planned: pages to write in').click()
  await page.getByRole('button', { name: 'Put it on the porch' }).click()
  await page.getByRole('link', { name: 'Tide Notes' }).click({ timeout: 30_000 })
  await expect(page).toHaveURL(/\/tide-notes\/pages/)
  for (const [kind, count] of [
    ['Lined', '30'],
    ['Log table', '40'],
    ['Dot grid', '20'],
    ['Blank', '6'],
  ] as const) {
    await page.getByRole('button', { name: 'Add a run' }).click()
    await page.getByRole('button', { name: new RegExp(`^${kind} `) }).click()
    const n = page.getByRole('spinbutton', { name: `Pages of ${kind}` })
    await n.fill(count)
    await n.press('Enter')
  }
  await page.getByRole('button', { name: /^Log table/ }).click()
  await page.getByRole('textbox', { name: 'Column 2', exact: true }).fill('High water')
  await expect.poll(() => pages(page), { timeout: 30_000 }).toBe(98)

  // What a run is, is said in sentences; what holds for all pages, too.
  await page.getByRole('combobox', { name: 'Folios' }).click()
  await page.getByTitle('stand at the outer corner').click()
  const height = page.getByRole('spinbutton', { name: 'Height of a row' })
  await height.fill('30')
  await height.press('Enter')
  await expect(page.getByRole('button', { name: 'Undo' })).toBeEnabled()

  // Front and back matter are written with the editor that every text has.
  await page.getByRole('link', { name: 'Back pages' }).click()
  await page.getByRole('button', { name: 'Add a section' }).click()
  await page.getByRole('menuitem', { name: 'About the author' }).click()
  await page.locator('.ProseMirror').click()
  await page.keyboard.type('She writes in Merrow Sound.')
  await expect.poll(() => pages(page), { timeout: 30_000 }).toBe(100)
  await page.getByRole('link', { name: '96 planned pages' }).click()
  await expect(page.getByRole('row', { name: /^About the author written/ })).toContainText('97 – 98')
  await expect(page.getByRole('spinbutton', { name: 'Height of a row' })).toHaveCount(0)
  await page.getByRole('button', { name: /^Log table/ }).click()
  await expect(page.getByRole('spinbutton', { name: 'Height of a row' })).toHaveValue('30')

  await stage(page, 'Plan')
  await page.getByRole('button', { name: 'coil' }).click()
  await field(page, 'Description', 'For whoever writes down the water.')
  await page.getByRole('group', { name: 'Editions' }).getByRole('button', { name: /Coil/ }).click()
  const coil = page.getByRole('region', { name: 'Coil' })
  await coil.getByLabel('Price', { exact: true }).fill('12.99')
  await coil.getByLabel('Price', { exact: true }).blur()
  await expect(figure(page, 'Royalty at $12.99')).toBeVisible({ timeout: 30_000 })
  await stage(page, 'Listings')
  await page.getByRole('button', { name: /^Coil at Tarnbrook/ }).click({ timeout: 30_000 })
  const sheet = page.locator('.sheet')
  await sheet.getByText('Text, pictures and fonts are mine').click()
  await expect(sheet.getByText('Nothing stops it.')).toBeVisible({ timeout: 30_000 })
  await sheet.getByRole('button', { name: 'Send', exact: true }).click()
  await expect(page.getByRole('button', { name: 'Coil at Tarnbrook: sent' })).toBeVisible({ timeout: 30_000 })
  await onBy(page, 'a day')
  await expect(page.getByRole('button', { name: 'Coil at Tarnbrook: on sale' })).toBeVisible()
})
