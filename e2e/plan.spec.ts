import { createCanvas } from '@napi-rs/canvas'
import { expect, type Page } from '@playwright/test'
import { long, test } from './library'

const figure = (page: Page, name: string) => page.getByLabel('Sill').locator('.figure').filter({ hasText: name })

/** A planned book of the demo, with a run of word searches added to it. */
async function withWordSearch(page: Page): Promise<void> {
  await page.goto('/')
  await page.getByRole('link', { name: 'The Small Apiary Logbook' }).waitFor({ timeout: 60_000 })
  await page.goto('/book/small-apiary-logbook/pages')
  await page.getByRole('button', { name: 'Add a run' }).click({ timeout: 30_000 })
  await page.getByRole('button', { name: /^Word search find/ }).click()
}

async function chooseWordSearch(page: Page): Promise<void> {
  await page
    .getByRole('row')
    .filter({ has: page.getByLabel('Move Word search', { exact: true }) })
    .getByRole('button', { name: /^Word search/ })
    .click({ timeout: 30_000 })
}

async function openPlan(page: Page): Promise<void> {
  await page.goto('/')
  await page.getByRole('link', { name: 'The Tidewarden’s Almanac' }).click({ timeout: 60_000 })
  await page.getByRole('link', { name: 'Plan' }).click()
  await expect(figure(page, 'Pages')).toBeVisible({ timeout: 60_000 })
}

test('data and editions: each change shows its consequences, bad input keeps the old value, undo brings all of it back', async ({
  page,
}) => {
  await openPlan(page)
  await expect(page.getByText('Nothing: Ostrevane would take the paperback as it stands.')).toBeVisible()
  const price = page.getByRole('region', { name: 'Paperback' }).getByLabel('Price')
  await price.fill('13.99')
  await price.press('Enter')
  await expect(figure(page, 'Royalty at $13.99')).toBeVisible()

  // Below the least price the sill and the list say so.
  await price.fill('2.00')
  await price.press('Enter')
  await expect(page.getByRole('listitem').filter({ hasText: 'costs more than it brings' })).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(price).toHaveValue('$11.99')

  // Others who made the book.
  await page.getByRole('button', { name: /^add an editor/ }).click()
  const other = page.locator('.others')
  await other.getByLabel('Name', { exact: true }).fill('Brina Marlstow')
  await other.getByLabel('Name', { exact: true }).press('Enter')
  await expect(other.getByRole('button', { name: 'Remove Brina Marlstow' })).toBeVisible()
  await other.getByRole('combobox', { name: 'As' }).press('Enter')
  await page.getByText('illustrator', { exact: true }).last().click()
  await page.getByRole('button', { name: 'Undo' }).click()
  await page.getByRole('button', { name: 'Undo' }).click()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(other.getByLabel('Name', { exact: true })).toBeHidden()

  const isbn = page.getByRole('region', { name: 'Paperback' }).getByLabel('ISBN')
  await isbn.fill('9780000001031')
  await isbn.blur()
  await expect(page.getByText('This is no ISBN: its check figure is wrong.')).toBeVisible()
  await isbn.press('Escape')
  await expect(isbn).toHaveValue('978-000000103-0')

  const pages = Number(await figure(page, 'Pages').locator('b').textContent())
  await page.getByRole('combobox', { name: 'Trim' }).press('Enter')
  await page.getByText('8.5 × 11 in', { exact: true }).last().click()
  await expect.poll(async () => Number(await figure(page, 'Pages').locator('b').textContent())).toBeLessThan(pages)
  await expect(figure(page, 'Pages').getByLabel(`was ${pages}`)).toBeVisible()

  await page.getByRole('combobox', { name: 'Outlet' }).press('Enter')
  await page.getByText('Tarnbrook', { exact: true }).last().click()
  await expect(page.getByLabel('Sill')).toContainText('Tarnbrook')

  const title = page.getByLabel('Title', { exact: true })
  await title.fill('')
  await title.blur()
  await expect(page.getByText('Title cannot be empty.')).toBeVisible()
  await title.fill('The Harbour Bell')
  await title.press('Enter')
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('The Harbour Bell')
  await page.goto('/')
  await expect(page.getByRole('heading', { name: 'The Harbour Bell' })).toBeVisible({ timeout: 60_000 })
})

test('runs of pages stand before and behind what is written, by keyboard, and numbers go on through all of it', async ({
  page,
}) => {
  await page.goto('/')
  await expect(page.getByRole('listitem')).toHaveCount(3, { timeout: 60_000 })
  await page.goto('/book/small-apiary-logbook/text')
  await page.getByRole('button', { name: 'Add a section' }).click({ timeout: 30_000 })
  await page.getByRole('menuitem', { name: 'Afterword' }).click()
  await page.getByRole('textbox', { name: 'Text of the section' }).click()
  await page.keyboard.type('What the bees taught me.')
  await expect(page.locator('.saving')).toHaveText('saved')
  await page.goto('/book/small-apiary-logbook/pages')
  const rows = page.getByRole('region', { name: 'Runs' }).locator('tbody tr')
  const names = (): Promise<string[]> =>
    rows.evaluateAll(all =>
      all.map(r => `${r.querySelector('a, .name')?.firstChild?.textContent?.trim()} ${r.children[3]?.textContent}`),
    )
  const first = [
    'Front pages i – ii',
    'Bookplate 1',
    'Where to find it 2 – 3',
    'The bee year 4 – 5',
    'Inspections 6 – 85',
    'Swarms 86 – 93',
    'Harvests 94 – 109',
  ]
  const before = [...first, 'Before winter 110 – 117', 'The stand 118 – 129', 'Afterword 131 – 132', 'undefined ']
  await expect.poll(names, { timeout: 30_000 }).toEqual(before)
  await page.getByRole('table').getByLabel('Move Before winter', { exact: true }).focus()
  await page.keyboard.press('Space')
  for (let i = 0; i < 2; i++) {
    await page.waitForTimeout(300)
    await page.keyboard.press('ArrowDown')
  }
  await page.waitForTimeout(300)
  await page.keyboard.press('Space')
  const after = [...first, 'The stand 110 – 121', 'Afterword 123 – 124', 'Before winter 125 – 132', 'undefined ']
  await expect.poll(names, { timeout: 30_000 }).toEqual(after)
  await page.reload()
  await expect.poll(names, { timeout: 30_000 }).toEqual(after)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect.poll(names, { timeout: 30_000 }).toEqual(before)
})

test('puzzles are added to a planned book with answers that follow their number, and say what they are', async ({
  page,
}) => {
  await page.goto('/')
  await expect(page.getByRole('listitem')).toHaveCount(3, { timeout: 60_000 })
  await page.goto('/book/small-apiary-logbook/pages')
  const add = async (name: RegExp): Promise<void> => {
    await page.getByRole('button', { name: 'Add a run' }).click({ timeout: 30_000 })
    await page.getByRole('button', { name }).click()
  }
  const row = (name: string) => page.getByRole('row').filter({ has: page.getByLabel(`Move ${name}`, { exact: true }) })
  const labels = (name: string) => row(name).getByRole('cell').nth(3)
  await add(/^Sudoku /)
  await expect(labels('Sudoku')).toHaveText('130 – 149', { timeout: 30_000 })
  await add(/^Answers /)
  await expect(labels('Answers')).toHaveText('150 – 154', { timeout: 30_000 })
  await page.getByLabel('Pages of Sudoku').fill('30')
  await page.getByLabel('Pages of Sudoku').press('Enter')
  await expect(labels('Answers')).toHaveText('160 – 167', { timeout: 30_000 })
  // A value that cannot be is said where the run is, with its controls still there.
  await row('Sudoku')
    .getByRole('button', { name: /^Sudoku/ })
    .click()
  await page.getByRole('combobox', { name: 'Size' }).click()
  await page.getByTitle('4 by 4').click()
  await expect(page.getByText('A sudoku of 4 by 4 is never middling', { exact: false }).first()).toBeVisible({
    timeout: 30_000,
  })
  await page.getByRole('combobox', { name: 'Difficulty' }).click()
  await page.getByTitle('gentle').click()
  await expect(labels('Sudoku')).toHaveText('130 – 159', { timeout: 30_000 })
  await row('Sudoku').getByRole('button', { name: 'Remove Sudoku' }).click()
  await expect(row('Answers').getByRole('cell').nth(2)).toHaveText('0')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(labels('Answers')).toHaveText('160 – 167', { timeout: 30_000 })
})

long(
  'words of a run: a bank, then a list of one’s own, kept as it is typed; what lacks is said, and mended with a click',
  async ({ page }) => {
    await withWordSearch(page)
    await expect(page.getByText(/^64 words, the longest of 10 letters\./)).toBeVisible({ timeout: 30_000 })
    await page.getByRole('combobox', { name: 'Words', exact: true }).click()
    await page.getByTitle('a list of my own').click()
    await expect(page.getByText(/^There are no words yet/).first()).toBeVisible({ timeout: 30_000 })
    const list = page.getByRole('textbox', { name: 'List of words' })
    const text = 'anchor\nbollard: Post that takes a rope\nseagull\nquay\nquay\nrowing boat\n'
    await list.fill(text)
    await expect(page.getByText(/^5 words, the longest of 10 letters\./)).toBeVisible({ timeout: 30_000 })
    await expect(
      page.getByText('A line is left out: line 5, “quay”: twice in its list.', { exact: false }),
    ).toBeVisible()
    const alert = page.getByRole('alert').filter({ hasText: 'has 5 words that can be used, and 15 are wanted' })
    await expect(alert).toBeVisible({ timeout: 30_000 })
    await alert.getByRole('button', { name: 'Take 5 words' }).click()
    await expect(alert).toHaveCount(0, { timeout: 30_000 })
    await expect(page.getByLabel('Words in a puzzle')).toHaveValue('5')
    await page.reload()
    await chooseWordSearch(page)
    await expect(page.getByRole('textbox', { name: 'List of words' })).toHaveValue(text)
  },
)

long(
  'a shape of one’s own: traced from a word and from a picture, another grid where it is lost, single cells turned',
  async ({ page }) => {
    await withWordSearch(page)
    await page.getByRole('combobox', { name: 'Outline', exact: true }).click({ timeout: 30_000 })
    await page.getByTitle('a shape of my own').click()
    await expect(page.getByText(/The shape of your own is still empty/).first()).toBeVisible({ timeout: 30_000 })
    const word = page.getByLabel('Word of the shape')
    await word.fill('ME')
    await word.press('Enter')
    await expect(page.getByText(/^On 15 by 15 it is 6\d % like itself: what is fine in it is lost/)).toBeVisible({
      timeout: 30_000,
    })
    await page.getByRole('button', { name: /^Take 20 by 20: 7\d %/ }).click()
    await expect(page.getByText(/^On 20 by 20 it is 7\d % like itself/)).toBeVisible({ timeout: 30_000 })
    await expect(page.getByLabel('Rows')).toHaveValue('20')
    const [corner, other] = ['Row 1, column 1', 'Row 1, column 20'].map(name =>
      page.getByRole('button', { name, exact: true }),
    )
    const open = async (left: boolean, right: boolean): Promise<void> => {
      await expect(corner!).toHaveAttribute('aria-pressed', String(left), { timeout: 30_000 })
      await expect(other!).toHaveAttribute('aria-pressed', String(right))
    }
    await page.getByRole('combobox', { name: 'Cells that are turned' }).click()
    await page.getByTitle('with its mirror image').click()
    await corner!.click()
    await open(true, true)
    await page.getByRole('button', { name: 'Undo' }).click()
    await open(false, false)
    await corner!.press('Enter')
    await open(true, true)
    await page.reload()
    await chooseWordSearch(page)
    await expect(word).toHaveValue('ME')
    await open(true, true)
    const canvas = createCanvas(60, 60)
    const g = canvas.getContext('2d')
    g.arc(30, 30, 28, 0, 2 * Math.PI)
    g.fill()
    await page
      .getByLabel('Picture of the shape')
      .setInputFiles({ name: 'disc.png', mimeType: 'image/png', buffer: canvas.toBuffer('image/png') })
    await expect(page.getByRole('button', { name: 'disc.png' })).toBeVisible({ timeout: 30_000 })
    await open(false, false)
    await expect(page.getByRole('button', { name: 'Row 10, column 10', exact: true })).toHaveAttribute(
      'aria-pressed',
      'true',
    )
    await page.getByLabel('Picture of the shape').setInputFiles({
      name: 'note.png',
      mimeType: 'image/png',
      buffer: Buffer.from('no picture'),
    })
    await expect(page.getByText('note.png is no picture that can be read.')).toBeVisible()
    await expect(page.getByRole('button', { name: 'disc.png' })).toBeVisible()
  },
)

test.describe('with all demo books', () => {
  test.use({ library: 'all' })
  long('puzzles that another book has as well are found, and others are taken with a click', async ({ page }) => {
    // Chance gives every run the same seed.
    await page.addInitScript(() => {
      const real = crypto.getRandomValues.bind(crypto)
      const same = (array: Uint8Array<ArrayBuffer> | Uint32Array<ArrayBuffer>) =>
        array instanceof Uint32Array && array.length === 1 ? array.fill(4711) : real(array)
      crypto.getRandomValues = same as typeof crypto.getRandomValues
    })
    await page.goto('/')
    await page.getByRole('link', { name: 'Gezeitenjahr 2027' }).waitFor({ timeout: 60_000 })
    await withWordSearch(page)
    // They are drawn: what they ask is known now.
    await expect(page.getByText('130 – 149')).toBeVisible({ timeout: 30_000 })
    await page.goto('/book/gezeitenjahr-2027/pages')
    await page.getByRole('button', { name: 'Add a run' }).click({ timeout: 30_000 })
    await page.getByRole('button', { name: /^Word search find/ }).click()
    const found = page.getByText(/^Word search: 20 of its pages stand in “The Small Apiary Logbook” as well/)
    await expect(found).toBeVisible({ timeout: 30_000 })
    await found.getByRole('button', { name: 'Take others' }).click({ timeout: 30_000 })
    await expect(found).toHaveCount(0, { timeout: 30_000 })
    await page.getByRole('button', { name: 'Undo' }).click()
    await expect(found).toBeVisible({ timeout: 30_000 })
  })
})

test('the flatplan: the whole book in bands, a spread opened and put away, a number of pages wished for', async ({
  page,
}) => {
  await page.goto('/')
  await expect(page.getByRole('listitem')).toHaveCount(3, { timeout: 60_000 })
  await page.goto('/book/small-apiary-logbook/pages')
  const book = page.getByRole('group', { name: 'All pages' })
  await expect(book.getByRole('heading')).toHaveText([
    /^Front pages\s*2 pages, i – ii$/,
    /^Bookplate.*one page, 1$/,
    /^Where to find it .*2 pages, 2 – 3$/,
    /^The bee year .*2 pages, 4 – 5$/,
    /^Inspections .*80 pages, 6 – 85$/,
    /^Swarms .*8 pages, 86 – 93$/,
    /^Harvests .*16 pages, 94 – 109$/,
    /^Before winter .*8 pages, 110 – 117$/,
    /^The stand .*12 pages, 118 – 129$/,
    /^Blank.*one page, 130$/,
  ])
  // Every page of the book is there, and those in view are painted.
  await expect(book.locator('.half:not(.none)')).toHaveCount(132)
  await expect(book.locator('[data-painted=true]').nth(6)).toBeVisible({ timeout: 30_000 })
  await expect(book.getByRole('button', { name: 'Pages 128–129', exact: true }).locator('img')).toHaveCount(0)
  // A run is moved by the arrows at its head, or dragged there.
  const moved = book.getByRole('heading').nth(4)
  await book.getByRole('button', { name: 'Move Swarms' }).focus()
  await page.keyboard.press('ArrowUp')
  await expect(moved).toHaveText(/^Swarms .*8 pages, 6 – 13$/, { timeout: 30_000 })
  await expect(book.getByRole('button', { name: 'Move Swarms' })).toBeFocused()
  const [from, to] = [
    (await book.getByRole('button', { name: 'Move Inspections' }).boundingBox())!,
    (await book.getByRole('heading', { name: /^Swarms/ }).boundingBox())!,
  ]
  await page.mouse.move(from.x + 5, from.y + 5)
  await page.mouse.down()
  await page.mouse.move(to.x + 40, to.y + 10, { steps: 8 })
  await expect(book.locator('[data-drop=above]')).toHaveCount(1)
  await page.mouse.up()
  await expect(moved).toHaveText(/^Inspections .*80 pages, 6 – 85$/, { timeout: 30_000 })
  await book.evaluate(e => e.scrollTo(0, 0))
  await book.getByRole('button', { name: 'Pages 104–105' }).click()
  await expect(page.getByText(/pages 104–105 of 132/)).toBeVisible()
  await expect(page.getByRole('region', { name: 'What Harvests is' })).toBeVisible()
  const row = page.getByRole('group', { name: 'Spreads of the run' })
  await expect(row.getByRole('button', { name: 'Pages 104–105' })).toHaveAttribute('aria-current', 'true')
  await row.getByRole('button', { name: 'Pages 98–99' }).click()
  await expect(page.getByText(/pages 98–99 of 132/)).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(book).toBeVisible()
  // What is written is opened where it is written.
  await book.getByRole('button', { name: 'Pages i', exact: true }).click()
  await expect(page).toHaveURL(/\/text\?section=/)
  await page.goBack()

  const said = page.getByRole('region', { name: 'What holds for all pages' })
  await said.getByRole('combobox', { name: 'Length of the book' }).click()
  await page.getByTitle('a number of pages').click()
  await expect(said.getByText('all of them planned')).toBeVisible()
  const wished = said.getByLabel('Pages wished for')
  await wished.fill('144')
  await wished.press('Enter')
  await expect(said.getByText('12 pages left')).toBeVisible()
  await page.getByLabel('Pages of Harvests').fill('40')
  await page.getByLabel('Pages of Harvests').press('Enter')
  await expect(said.getByText('12 pages too many')).toBeVisible({ timeout: 30_000 })
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(said.getByText('12 pages left')).toBeVisible({ timeout: 30_000 })
})
