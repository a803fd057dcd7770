import { type BrowserContext, type Download, expect, type Locator, type Page } from '@playwright/test'
import { openText, shorterLibrary, test } from './library'
import { value } from './sentence'
import { changedDocx } from '../tests/support/changedDocx'

/** What others are at: given out, changed elsewhere, taken in, decided. */
const others = (page: Page): Locator => page.getByRole('region', { name: 'Others at work' })

async function give(page: Page, to: string, as?: string): Promise<Download> {
  await page.getByRole('button', { name: 'Others …' }).click()
  if (as) await value(page, 'As what it is given out', as)
  await page.getByLabel('Whom it is given to').fill(to)
  await page.getByLabel('Whom it is given to').press('Enter')
  const waits = page.waitForEvent('download')
  await page.getByRole('button', { name: 'make the file' }).click()
  const file = await waits
  await expect(others(page).getByRole('status')).toContainText('is among your downloads')
  return file
}

/** Writes words before the first of a paragraph. */
async function write(page: Page, paragraph: Locator, words: string): Promise<void> {
  await paragraph.click()
  await page.keyboard.press('Control+Home')
  await page.waitForTimeout(250)
  await page.keyboard.type(words)
  await expect(page.locator('.saving')).toHaveText('saved')
}

/** Chooses a word of the text. */
async function choose(page: Page, text: Locator, word: string): Promise<void> {
  await text.evaluate((root, wanted) => {
    const walker = document.createTreeWalker(root, NodeFilter.SHOW_TEXT)
    for (let n = walker.nextNode(); n; n = walker.nextNode()) {
      const at = n.nodeValue!.indexOf(wanted)
      if (at < 0) continue
      const range = document.createRange()
      range.setStart(n, at)
      range.setEnd(n, at + wanted.length)
      getSelection()!.removeAllRanges()
      getSelection()!.addRange(range)
      return
    }
    throw new Error(`“${wanted}” is not there`)
  }, word)
  await page.waitForTimeout(250)
}

async function reader(browserContext: BrowserContext): Promise<Page> {
  await shorterLibrary(browserContext)
  return browserContext.newPage()
}

test('a review round: a copy goes to another Porchlight, is changed and commented there, and comes home change by change', async ({
  page,
  browser,
}) => {
  const text = await openText(page)
  const file = await (await give(page, 'Ada Quill', 'a review copy, for another Porchlight')).path()

  const away = await browser.newContext({ acceptDownloads: true })
  const ada = await reader(away)
  await ada.goto('/')
  await ada.getByLabel('Manuscript file').setInputFiles({
    name: 'copy.porchlight',
    mimeType: 'application/zip',
    buffer: await import('node:fs').then(fs => fs.readFileSync(file)),
  })
  await ada.getByRole('link', { name: /^Read it for / }).click()
  const hers = ada.locator('.ProseMirror').first()
  await hers.waitFor({ timeout: 60_000 })
  // Nothing of the book but its text is there.
  await expect(ada.getByRole('navigation', { name: 'Stages' }).getByRole('link')).toHaveText(['Text'])
  await write(ada, hers.locator('p').first(), 'Very early, ')
  await choose(ada, hers, 'Seven')
  await ada.keyboard.type('Eight')
  await choose(ada, hers, 'harbour')
  await ada.getByLabel('Remark on the words').fill('Which harbour?')
  await ada.getByLabel('Remark on the words').press('Enter')
  await expect(ada.locator('.saving')).toHaveText('saved')
  const back = ada.waitForEvent('download')
  await ada.getByRole('button', { name: 'Make the file that goes back' }).click()
  const returned = await (await back).path()

  // The author goes on meanwhile, at other words and at the same.
  await page.getByRole('button', { name: 'Close others at work' }).click()
  await choose(page, text, 'Seven')
  await page.keyboard.type('Six')
  await expect(page.locator('.saving')).toHaveText('saved')
  await page.getByRole('button', { name: 'Others …' }).click()
  await page.getByLabel('File that came back').setInputFiles({
    name: 'back.porchlight',
    mimeType: 'application/zip',
    buffer: await import('node:fs').then(fs => fs.readFileSync(returned)),
  })
  await expect(others(page)).toContainText('One remark stands in the margin', { timeout: 30_000 })
  await expect(others(page)).toContainText('2 changes by Ada Quill that the book has not, 1 on what you changed, too')
  const margin = page.getByRole('list', { name: 'Notes and doubts beside the text' })
  await expect(margin).toContainText('Ada Quill: Which harbour?')
  await expect(margin).toContainText(/Ada Quill, \d+ \w+: “Very early,” here/)
  const change = page.getByRole('group', { name: 'The change' })
  await change.getByRole('button', { name: 'Take it' }).click()
  await expect(text.locator('p').first()).toContainText('Very early, Ada Pell')
  await expect(change.locator('dd')).toHaveText(['Seven', 'Eight', 'Six'])
  await page.keyboard.press('Alt+l')
  await expect(others(page)).toContainText('Nothing that Ada Quill changed is left to decide.')
  await expect(text).toContainText('Six strokes')
  // Refused, and yet not lost: undone, it is asked again.
  await page.getByRole('button', { name: 'Undo' }).click()
  await change.getByRole('button', { name: 'Take Ada Quill’s' }).click()
  await expect(text).toContainText('Eight strokes')
  // What she said is answered where it stands.
  await margin.getByText('Ada Quill: Which harbour?').click()
  await page.getByLabel('Answer to the remark').fill('Merrow Sound.')
  await page.getByLabel('Answer to the remark').press('Enter')
  await expect(margin).toContainText('Ada Quill: Which harbour? — Merrow Sound.')
  await away.close()
})

test('a word-processor file with recorded changes comes back: each is shown with who and when, several readers at once', async ({
  page,
}) => {
  const text = await openText(page)
  const path = await (await give(page, 'Bo Marsh')).path()
  const sent = await import('node:fs').then(fs => new Uint8Array(fs.readFileSync(path)))
  const changed = changedDocx(sent, { by: 'Bo Marsh', when: '2026-11-20T09:30:00Z', gone: 'Seven', came: 'Eight' })
  const input = page.getByLabel('File that came back')
  const docx = 'application/vnd.openxmlformats-officedocument.wordprocessingml.document'
  await input.setInputFiles({ name: 'back.docx', mimeType: docx, buffer: Buffer.from(changed) })
  await expect(others(page)).toContainText('1 change by Bo Marsh that the book has not', { timeout: 30_000 })
  await expect(page.getByRole('group', { name: 'The change' })).toContainText('Bo Marsh, 20 Nov 2026')
  // A second one, of the same round, at the same words.
  await page.getByRole('button', { name: 'All rounds' }).click()
  const other = changedDocx(sent, { by: 'Cy Fen', when: '2026-11-21T09:30:00Z', gone: 'Seven', came: 'Nine' })
  await input.setInputFiles({ name: 'back2.docx', mimeType: docx, buffer: Buffer.from(other) })
  await expect(page.getByRole('group', { name: 'The change' })).toContainText('Cy Fen, 21 Nov 2026', {
    timeout: 30_000,
  })
  await page.getByRole('button', { name: 'Take it', exact: true }).click()
  await expect(text).toContainText('Nine strokes')
  await page.getByRole('button', { name: 'All rounds' }).click()
  await page
    .getByRole('button', { name: /^Look through: Bo Marsh/ })
    .first()
    .click()
  await expect(page.getByRole('group', { name: 'The change' }).locator('dd')).toHaveText(['Seven', 'Eight', 'Nine'])
})
