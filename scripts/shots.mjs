// npm run shots: one picture of each main view from the demo data, into docs/screenshots. Wants a build.
import { mkdirSync } from 'node:fs'
import { join } from 'node:path'
import { root, serve } from './lib/setup.mjs'
import { chromium } from '@playwright/test'

const out = join(root, 'docs/screenshots')
mkdirSync(out, { recursive: true })
const port = 4312
const server = await serve(port)
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
    '--no-first-run',
    '--disable-quic',
  ],
})
const dir = '/book/tidewardens-almanac'
try {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, colorScheme: 'light' })
  const page = await context.newPage()
  const go = path => page.goto(`http://localhost:${port}${path}`)
  const shot = async (name, settle = 600) => {
    await page.waitForTimeout(settle)
    await page.screenshot({ path: join(out, `${name}.png`) })
  }
  // Fronts come first; what follows from each book after them.
  const settled = async p => {
    await p.getByText('planned pages').nth(1).waitFor({ timeout: 60_000 })
    await p.getByText('setting …').first().waitFor({ state: 'detached', timeout: 60_000 })
  }
  await go('/')
  await page.locator('.front img').nth(3).waitFor({ timeout: 60_000 })
  await settled(page)
  await shot('porch', 1500)

  await page.getByLabel('Manuscript file').setInputFiles(join(root, 'demo/lampblack-regatta.md'))
  await page.getByRole('img', { name: /^Page / }).waitFor({ timeout: 60_000 })
  await shot('intake', 1200)

  // A note at its line, and a page that turns.
  const theNote = async () => {
    await page
      .getByRole('button', { name: /The Patient Margaret/ })
      .last()
      .click()
    const note = page.locator('.margins li.note')
    await note.waitFor()
    await note.evaluate(e => e.scrollIntoView({ block: 'center' }))
  }
  const toAChapter = async () => {
    await page.getByRole('button', { name: /The Patient Margaret/ }).click()
    await page.getByText('printed on page 7').waitFor()
  }
  for (const [name, path, ready, act] of [
    ['plan', `${dir}/plan`, () => page.getByLabel('Sill').getByText('Pages')],
    ['text', `${dir}/text`, () => page.locator('.margins .turn button').nth(1), theNote],
    ['interior', `${dir}/interior`, () => page.locator('.spread canvas[data-painted=true]').nth(1)],
    ['cover', `${dir}/cover`, () => page.locator('.konvajs-content canvas').first()],
    ['ebook', `${dir}/ebook`, () => page.getByText('1 of 1'), toAChapter],
    ['check', '/book/lampblack-regatta/check', () => page.getByText('The rights are not stated.')],
    ['pages', '/book/hedgerow-and-hive/pages', () => page.locator('.flatplan [data-painted=true]').nth(9)],
    ['outlets', '/outlets', () => page.getByRole('table')],
    ['preferences', '/preferences', () => page.getByText('The desk', { exact: true }).first()],
  ]) {
    await go(path)
    await ready().waitFor({ timeout: 60_000 })
    await act?.()
    await shot(name, 1500)
  }

  // A section that is kept for all books, and where it stands.
  await go(`${dir}/text`)
  await page
    .getByRole('button', { name: /About the Author/ })
    .last()
    .click()
  await page.getByRole('button', { name: 'Keep for all books' }).click()
  await page.getByLabel('Standing matter', { exact: true }).waitFor()
  await go('/supplies')
  await page.locator('.matter blockquote').waitFor()
  await page.getByRole('button', { name: /^Keep the imprint Saltgrass/ }).click()
  await page.getByRole('button', { name: /^Keep the pen name Orla/ }).click()
  const note = page.getByLabel('Note about Orla Fenwright')
  await note.fill(
    'Orla Fenwright keeps lamps and bees above Merrow Sound, and writes about neither of them as they are.',
  )
  await note.blur()
  await shot('supplies', 1500)

  // A run of planned pages, said beside its spread; the looks that there are.
  await go('/book/hedgerow-and-hive/pages')
  await page.getByRole('button', { name: 'Among the leaves word search' }).click()
  await page.locator('.spread canvas[data-painted=true]').nth(1).waitFor({ timeout: 60_000 })
  await shot('specimen', 1500)
  const box = await page.locator('.spread').boundingBox()
  await page.mouse.click(box.x + box.width * 0.75, box.y + box.height * 0.11)
  await page.getByLabel('What it says').waitFor()
  await shot('by-hand', 900)
  await page.getByRole('button', { name: /^Look of all pages/ }).click()
  await page.locator('.kind-shelf canvas[data-painted=true]').nth(7).waitFor({ timeout: 60_000 })
  await shot('looks', 1500)

  // Two styles side by side at the same words.
  await go(`${dir}/interior`)
  await page.getByRole('button', { name: /^Pages 8–9/ }).click()
  await page.getByRole('button', { name: 'styles …' }).click()
  await page
    .getByRole('listitem')
    .filter({ hasText: 'Chandlery' })
    .getByRole('button', { name: 'Hold against the present' })
    .click()
  await page.locator('.compare canvas[data-painted=true]').nth(3).waitFor({ timeout: 60_000 })
  await shot('styles', 900)

  // Words kept, the paperback and an ebook sent and on sale, two months of statements.
  await go('/research?book=tidewardens-almanac')
  await page.getByRole('textbox', { name: 'A word or phrase' }).fill('lighthouse')
  await page.keyboard.press('Enter')
  for (const p of ['lighthouse mystery', 'cosy lighthouse mystery', 'large print lighthouse mystery']) {
    const box = page.getByRole('checkbox', { name: `Keep ${p}`, exact: true })
    await page.getByRole('table').waitFor()
    if (!(await box.count())) continue
    await box.click()
    await page.getByRole('combobox', { name: `Place of ${p}`, exact: true }).click()
    await page
      .locator('.ant-select-dropdown:visible .ant-select-item-option-content')
      .getByText(p === 'lighthouse mystery' ? 'support' : 'slot', { exact: true })
      .click()
  }
  await page.locator('.work').evaluate(e => e.scrollTo(0, 0))
  await shot('research', 900)
  await go(`${dir}/listings`)
  const sheet = page.locator('.sheet')
  for (const [cell, category] of [
    [/^Paperback at Ostrevane/, 'Fiction / Sea stories'],
    [/^Ebook at Pellowick/, 'FFJ Crime: cosy mystery'],
  ]) {
    await page.getByRole('button', { name: cell }).click({ timeout: 60_000 })
    await sheet.getByRole('combobox', { name: 'Categories' }).click()
    await page.getByTitle(category).click()
    await page.keyboard.press('Escape')
    await sheet.getByText('Text, pictures and fonts are mine').click()
    const pack = sheet.getByRole('button', { name: /^Pack from/ })
    if (await pack.count()) await pack.click()
    await sheet.getByText('Nothing stops it.').waitFor({ timeout: 30_000 })
    await sheet.getByRole('button', { name: 'Send', exact: true }).click()
    await page.getByText('is on its way to').last().waitFor({ timeout: 60_000 })
  }
  await page.getByRole('button', { name: 'a week' }).click()
  await page.getByRole('button', { name: /^Paperback at Ostrevane/ }).click()
  await page.waitForTimeout(3500)
  await shot('listings', 800)
  await go('/ledger')
  for (let i = 0; i < 3; i++) await page.getByRole('button', { name: '30 days' }).click()
  await page.getByRole('img', { name: /^Royalties by month/ }).waitFor({ timeout: 30_000 })
  await shot('ledger')
  await context.close()
} finally {
  await browser.close()
  server.kill()
}
