import { expect, type Page } from '@playwright/test'
import { test } from './library'
import { value } from './sentence'

const sections = (page: Page) => page.getByRole('navigation', { name: 'Sections' })
const body = (page: Page) => sections(page).getByRole('region', { name: 'Body' }).getByRole('listitem')
const text = (page: Page) => page.getByRole('textbox', { name: 'Text of the section' })

async function open(page: Page): Promise<void> {
  await page.goto('/')
  await expect(page.getByRole('listitem')).toHaveCount(3, { timeout: 60_000 })
  await page.goto('/book/lampblack-regatta/text')
  await text(page).locator('p').first().waitFor()
}

test('sections: moved by keyboard and mouse, split, joined, added, numbered, removed, and all of it undone', async ({
  page,
}) => {
  await open(page)
  const names = async (): Promise<string[]> =>
    (await body(page).locator('button span').allTextContents()).map(t => t.trim())
  const start = await names()
  expect(start).toEqual(['Ten Oars Too Many', 'The Weight of the Cup', 'Soot'])

  // The handle by keyboard: take, down, put.
  const handle = sections(page).getByRole('button', { name: 'Move Ten Oars Too Many' })
  await handle.focus()
  await page.keyboard.press('Space')
  await page.waitForTimeout(250)
  await page.keyboard.press('ArrowDown')
  await page.waitForTimeout(250)
  await page.keyboard.press('Space')
  await expect.poll(names).toEqual(['The Weight of the Cup', 'Ten Oars Too Many', 'Soot'])
  await expect(body(page).first().locator('i')).toHaveText('1')

  // By mouse, back again.
  await body(page).nth(1).hover()
  const from = (await sections(page).getByRole('button', { name: 'Move Ten Oars Too Many' }).boundingBox())!
  const to = (await body(page).first().boundingBox())!
  await page.mouse.move(from.x + 6, from.y + 12)
  await page.mouse.down()
  await page.mouse.move(from.x + 6, from.y - 6, { steps: 4 })
  await page.mouse.move(from.x + 6, to.y + 8, { steps: 8 })
  await page.mouse.up()
  await expect.poll(names).toEqual(start)

  await body(page)
    .nth(2)
    .getByRole('button', { name: /^3?\s*Soot/ })
    .click()
  await text(page).locator('p').nth(2).click()
  await page.getByRole('button', { name: 'Split at the cursor' }).click()
  await expect(body(page)).toHaveCount(4)
  await body(page).nth(3).locator('button').click()
  await page.getByRole('button', { name: 'Join to the one before' }).click()
  await expect(body(page)).toHaveCount(3)

  await page.getByRole('button', { name: 'Add a section' }).click()
  await page.getByRole('menuitem', { name: 'Afterword' }).click()
  await expect(sections(page).getByRole('region', { name: 'Back' }).getByRole('listitem')).toHaveCount(1)
  await body(page).first().locator('button').click()
  await value(page, 'Whether it is counted', 'without a number')
  await expect(page.locator('.paper .number')).toBeHidden()
  await page.getByRole('button', { name: 'Remove', exact: true }).click()
  await page.getByRole('dialog').getByRole('button', { name: 'Remove it' }).click()
  await expect(body(page)).toHaveCount(2)

  // Each undo is seen in the list before the next: what stood two changes ago may look like what stands now.
  const moved = ['The Weight of the Cup', 'Ten Oars Too Many', 'Soot']
  const split = [...start, 'Soot']
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect.poll(names).toEqual(start)
  await expect(body(page).first().locator('i')).toHaveText('')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(body(page).first().locator('i')).toHaveText('1')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(sections(page).getByRole('region', { name: 'Back' }).getByRole('listitem')).toHaveCount(0)
  for (const past of [split, start, moved, start]) {
    await page.getByRole('button', { name: 'Undo' }).click()
    await expect.poll(async () => (await names()).length).toBe(past.length)
    await expect.poll(async () => (await names()).slice(0, 3)).toEqual(past.slice(0, 3))
  }
  await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled()

  // Several are picked, doubled in one step and joined in another; by keys alone they are moved and picked.
  await body(page).first().locator('button').click()
  await body(page)
    .nth(1)
    .locator('button')
    .click({ modifiers: ['Shift'] })
  await expect(page.getByText('2 sections picked')).toBeVisible()
  await page.getByRole('button', { name: 'Duplicate' }).click()
  await expect.poll(async () => (await names()).length).toBe(5)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect.poll(names).toEqual(start)
  await body(page).first().locator('button').focus()
  await page.keyboard.press('Alt+ArrowDown')
  await expect.poll(names).toEqual(['Soot', 'Ten Oars Too Many', 'The Weight of the Cup'])
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect.poll(names).toEqual(start)
  await body(page).first().locator('button').click()
  await page.keyboard.press('Shift+ArrowDown')
  await expect(page.getByText('2 sections picked')).toBeVisible()
  await page.getByRole('button', { name: 'Join them' }).click()
  await expect.poll(names).toEqual(['Ten Oars Too Many', 'Soot'])
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect.poll(names).toEqual(start)
})

test('the galley: pages turn as one writes, notes stand beside their line, the title’s sentence says what it is', async ({
  page,
}) => {
  await open(page)
  const turns = page.locator('.margins .turn button')
  await expect(turns.nth(1)).toBeVisible({ timeout: 60_000 })
  const folios = (await turns.allTextContents()).map(Number)
  expect(folios).toEqual(folios.map((_, i) => folios[0]! + i))
  const top = async (nth: number): Promise<number> => (await turns.nth(nth).boundingBox())!.y
  const before = await top(1)
  await text(page).locator('p').first().click()
  await page.keyboard.press('Home')
  await page.waitForTimeout(150)
  // Three lines more over it: the page turns three printed lines sooner in the text, and so about where it stood.
  await page.keyboard.insertText(
    'A sentence that was not there a moment ago, and is now, in the first line. '.repeat(4),
  )
  await expect(page.locator('.saving')).toHaveText('saved')
  await expect.poll(async () => Math.abs((await top(1)) - before)).toBeLessThan(60)
  await expect(page.locator('.margins .turn.here button')).toHaveText(String(folios[0]))

  // Hyphens become the language's dash, with its spaces; those that came another way stand as a doubt, and are turned over the book.
  await page.keyboard.type('Salt -- old--was dear. ')
  await expect(text(page).locator('p').first()).toContainText('Salt\u00a0– old\u00a0– was dear. ')
  await page.keyboard.insertText('Rope -- thin -- held. ')
  await expect(page.locator('.margins li.doubt')).toHaveText('2 typed dashes')
  await page.getByRole('button', { name: 'Turn 2 typed dashes into –' }).click()
  await expect(text(page).locator('p').first()).toContainText('Rope\u00a0– thin\u00a0– held. ')
  await expect(page.locator('.margins li.doubt')).toHaveCount(0)
  await text(page).locator('p').first().click()
  await page.waitForTimeout(150)

  await page.getByRole('button', { name: 'Note', exact: true }).click()
  await page.keyboard.type('So it was said.')
  const note = page.locator('.margins li.note')
  const openNote = text(page).locator('[data-footnote].open')
  // A note is open in the line while the cursor is in it, and beside the line at all other times.
  await expect(openNote).toHaveText('So it was said.')
  await expect(note).toHaveText('1')
  await page.keyboard.press('ArrowRight')
  await expect(openNote).toHaveCount(0)
  await expect(note).toHaveText('1So it was said.')
  await note.getByRole('button').click()
  await expect(openNote).toHaveText('So it was said.')
  await page.keyboard.press('ArrowLeft')
  await expect(openNote).toHaveCount(0)
  const mark = (await text(page).locator('[data-footnote]').boundingBox())!
  expect(Math.abs((await note.boundingBox())!.y - mark.y)).toBeLessThan(30)

  // Words lead to another place of the book, found by its own words; taken out, the place is missed at once.
  await text(page)
    .locator('p')
    .nth(1)
    .dblclick({ position: { x: 80, y: 12 } })
  await page.getByRole('button', { name: 'Link', exact: true }).click()
  await page.getByLabel('Where the link leads').fill('soot')
  await page.locator('.ant-select-dropdown:visible').getByText('Soot', { exact: true }).first().waitFor()
  await page.keyboard.press('Enter')
  await expect(text(page).locator('a[href^="#"]')).toHaveCount(1)
  await page.getByRole('button', { name: /^3?\s*Soot/ }).click()
  await page.getByRole('button', { name: 'Remove', exact: true }).click()
  await page.getByRole('dialog').getByRole('button', { name: 'Remove it' }).click()
  await page
    .getByRole('button', { name: /Ten Oars/ })
    .last()
    .click()
  await expect(page.locator('.margins li.finding')).toHaveText('this link leads nowhere')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.locator('.margins li.finding')).toHaveCount(0)

  await value(page, 'Where it opens', 'on either page')
  await expect(page.locator('.issaid').first()).toContainText('on either page here alone')
  await value(page, 'What it is', 'Interlude')
  await expect(page.locator('.paper .number')).toBeHidden()
  await expect(page.locator('.issaid').first()).not.toContainText('numbered')
  await page.getByLabel('Subtitle of the section').fill('In which nothing is won')
  await page.getByLabel('Subtitle of the section').press('Enter')
  // It leaves the field for the store, and looks like a subtitle as soon as it is there.
  await expect(page.locator('.subtitle')).not.toHaveClass(/none/)
  await page.reload()
  await expect(page.getByLabel('Subtitle of the section')).toHaveValue('In which nothing is won')

  // An entry is left out of the contents by its name, and stays out.
  await sections(page)
    .getByRole('button', { name: /^Contents/ })
    .click()
  const entry = page.getByRole('checkbox', { name: 'Soot' })
  await entry.click()
  await expect(entry).not.toBeChecked()
  await page.reload()
  await sections(page)
    .getByRole('button', { name: /^Contents/ })
    .click()
  await expect(entry).not.toBeChecked()
})

test('a reading is decided by keys; the book’s text is read again, looked at, taken over, undone', async ({ page }) => {
  await page.goto('/')
  const parts = ['Salt', 'Rope'].map(
    (n, i) => `# ${n}\n\nIt was  dear.\n\n## Of ${n}\n\nNobody sold it.\n\n## More of ${n}\n\nNumber ${i}.\n`,
  )
  await page.getByLabel('Manuscript file').setInputFiles({
    name: 'levels.md',
    mimeType: 'text/markdown',
    buffer: Buffer.from(parts.join('\n')),
  })
  const rows = page.getByRole('region', { name: 'Proposed sections' }).getByRole('listitem')
  await expect(rows).toHaveCount(2, { timeout: 30_000 })
  await value(page, 'What headings of level 1 are', 'parts')
  await value(page, 'What headings of level 2 are', 'chapters')
  await expect(rows).toHaveCount(6)
  await expect(rows.first()).toContainText('part')
  const press = (key: string): Promise<void> => page.locator('body').press(key)
  await page.getByRole('heading', { name: 'levels' }).click()
  await press('End')
  await press('s')
  await expect(rows.last()).toContainText('More of Rope')
  await expect(rows).toHaveCount(5)
  await press('Control+z')
  await expect(rows).toHaveCount(6)
  await press('b')
  await expect(rows.last()).toContainText('afterword')
  await press('r')
  await page.keyboard.type('The end of the rope')
  await page.keyboard.press('Enter')
  await expect(rows.last()).toContainText('The end of the rope')
  // A kind of dirt is left as it is, and what the file says of its book is offered, and changed.
  await value(page, 'What is done with doubled spaces', 'left as they are')
  await page.getByLabel('Author', { exact: true }).fill('Orla Fenwright')
  await page.getByLabel('Author', { exact: true }).press('Enter')
  await page.getByRole('button', { name: 'Put it on the porch' }).click()
  await page.waitForURL(/plan/)
  await expect(page.getByLabel('Author', { exact: true })).toHaveValue('Orla Fenwright')
  await page.goto(page.url().replace(/plan$/, 'text'))
  await body(page).first().locator('button').click()
  await expect
    .poll(() =>
      text(page)
        .locator('p')
        .first()
        .evaluate(e => e.textContent),
    )
    .toBe('It was  dear.')

  // What is pasted into a section may hold others: read again, they are found, and stand beside the pages before they are taken.
  await body(page).nth(1).locator('button').click()
  await text(page).locator('p').first().click()
  await page.keyboard.press('End')
  for (const line of ['', 'Chapter Nine: The Knot', 'It held.']) {
    await page.keyboard.press('Enter')
    await page.keyboard.insertText(line)
  }
  await expect(page.locator('.saving')).toHaveText('saved')
  await page.getByRole('button', { name: 'Read again' }).click()
  await expect(rows).toHaveCount(2, { timeout: 30_000 })
  await expect(page.getByLabel('Sill')).toContainText('1 new section')
  await page.getByRole('button', { name: 'Take it over' }).click()
  await expect(body(page)).toHaveCount(6)
  await expect(body(page).nth(2)).toContainText('The Knot')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(body(page)).toHaveCount(5)
})

test('the marks and blocks of the schema, pages and counts follow', async ({ page }) => {
  await open(page)
  const words = page.getByLabel('Words', { exact: true }).locator('b')
  const before = Number((await words.textContent())!.replace(',', ''))
  await text(page).locator('p').first().click()
  await page.keyboard.press('Control+Home')
  // A person's pause: the editor hears of a moved caret a moment later.
  await page.waitForTimeout(150)
  await page.keyboard.type('Bold words here ')
  await page.keyboard.press('ArrowLeft')
  await page.waitForTimeout(150)
  for (let i = 0; i < 4; i++) await page.keyboard.press('Shift+ArrowLeft')
  await page.getByRole('button', { name: 'Bold' }).click()
  await expect(text(page).locator('strong').filter({ hasText: 'here' })).toBeVisible()
  await page.keyboard.press('Control+Shift+k')
  await expect(text(page).locator('[data-small-caps]').filter({ hasText: 'here' })).toBeVisible()
  await expect.poll(async () => Number((await words.textContent())!.replace(',', ''))).toBe(before + 3)

  await page.keyboard.press('ArrowRight')
  await page.waitForTimeout(150)
  await page.getByRole('button', { name: 'Note', exact: true }).click()
  await page.keyboard.type('Not a true note.')
  await expect(text(page).locator('[data-footnote]')).toContainText('Not a true note.')
  await page.getByRole('button', { name: 'Scene break' }).click()
  await expect(text(page).locator('hr').first()).toBeVisible()

  await text(page).locator('p').nth(3).click()
  for (const [kind, selector] of [
    ['Quote', 'blockquote'],
    ['Letter', 'section[data-letter]'],
    ['Verse', 'div[data-verse]'],
    ['List', 'ul'],
    ['Heading', 'h2'],
    ['Paragraph', 'p'],
  ] as const) {
    await page.getByRole('combobox', { name: 'Kind of block' }).click()
    await page
      .locator('.ant-select-dropdown:visible .ant-select-item-option-content')
      .getByText(kind, { exact: true })
      .click()
    await expect(text(page).locator(selector).first()).toBeVisible()
  }
  // The signs of plain text become what they mean, and the case of words is turned.
  await text(page).locator('p').last().click()
  await page.keyboard.press('Control+End')
  await page.waitForTimeout(250)
  await page.keyboard.press('Enter')
  await page.waitForTimeout(250)
  await page.keyboard.type('- the ~~old~~ **new** bell ')
  const item = text(page).locator('ul li').last()
  await expect(item).toHaveText('the old new bell ')
  await expect(item.locator('s')).toHaveText('old')
  await expect(item.locator('strong')).toHaveText('new')
  await page.keyboard.press('Shift+Home')
  await page.waitForTimeout(150)
  await page.keyboard.press('Control+Shift+u')
  await expect(item).toHaveText('The Old New Bell ')
  await page.keyboard.press('Control+Shift+8')
  await expect(text(page).locator('ul li', { hasText: 'The Old New Bell' })).toHaveCount(0)

  await page.locator('input[aria-label="Picture file"]').setInputFiles('demo/tide-curve.png')
  await expect(text(page).locator('figure img')).toBeVisible()
  await page.getByLabel('What the picture says').fill('A curve of the tide')
  await expect(page.locator('.saving')).toHaveText('saved')
  await page.reload()
  await expect(text(page).locator('figure img')).toHaveAttribute('alt', 'A curve of the tide')
  await expect(text(page).locator('[data-footnote]')).toContainText('Not a true note.')
})

test('a table is made, filled by keys, changed by its sentence, and undone', async ({ page }) => {
  await open(page)
  await text(page).locator('p').first().click()
  await page.keyboard.press('Home')
  await page.waitForTimeout(200)
  await page.getByRole('button', { name: 'Table', exact: true }).click()
  // Behind the last cell a row is added.
  for (const words of ['Day', 'Height', 'Monday', '4.2 m', 'Tuesday', '3.9 m', 'Wednesday', '3.1 m']) {
    await page.keyboard.type(words)
    await page.keyboard.press('Tab')
  }
  const rows = async (): Promise<string[]> => {
    const all = await text(page).locator('tr').all()
    return Promise.all(all.map(async r => (await r.locator('td').allTextContents()).join(' | ')))
  }
  const filled = ['Day | Height', 'Monday | 4.2 m', 'Tuesday | 3.9 m', 'Wednesday | 3.1 m']
  await expect.poll(rows).toEqual([...filled, ' | '])
  const about = page.getByRole('region', { name: 'The table at the cursor' })
  await expect(about).toContainText('Row 5 of 5')
  await about.getByRole('button', { name: 'Take the row out' }).click()
  await expect.poll(rows).toEqual(filled)
  await text(page).locator('td').nth(2).click()
  await expect(about).toContainText('Row 2 of 4')
  await about.getByRole('button', { name: 'Column behind' }).click()
  await expect
    .poll(rows)
    .toEqual(['Day |  | Height', 'Monday |  | 4.2 m', 'Tuesday |  | 3.9 m', 'Wednesday |  | 3.1 m'])
  await expect(about).toContainText('Column 2 of 3')
  await about.getByRole('button', { name: 'Join with the next cell' }).click()
  await expect.poll(async () => (await rows())[1]).toBe('Monday | 4.2 m')
  await expect(text(page).locator('td[colspan="2"]')).toHaveText('4.2 m')
  await about.getByRole('button', { name: 'Part the cell' }).click()
  await about.getByRole('combobox', { name: 'Head of the table' }).click()
  await page.locator('.ant-select-dropdown:visible').getByText('the first 2 rows').click()
  await expect(text(page).locator('tr[data-head]')).toHaveCount(2)
  await expect(page.locator('.saving')).toHaveText('saved')

  // It stands so in the printed pages and after a reload, and each change is taken back.
  await page.reload()
  await expect
    .poll(rows)
    .toEqual(['Day |  | Height', 'Monday | 4.2 m | ', 'Tuesday |  | 3.9 m', 'Wednesday |  | 3.1 m'])
  await page.getByRole('link', { name: 'Interior' }).click()
  await page.getByPlaceholder('find in the pages').fill('Wednesday')
  await page.keyboard.press('Enter')
  await expect(page.locator('.found')).not.toHaveCount(0, { timeout: 30_000 })
  await page.getByRole('link', { name: 'Text', exact: true }).click()
  await expect(text(page).locator('table')).toHaveCount(1)
  const undo = page.getByRole('button', { name: 'Undo' })
  while (await undo.isEnabled()) {
    await undo.click()
    await page.waitForTimeout(150)
  }
  await expect(text(page).locator('table')).toHaveCount(0)
})

test('words are in a language of their own, headings are in the contents, and both are in the printed pages', async ({
  page,
}) => {
  await open(page)
  await text(page)
    .locator('p')
    .first()
    .dblclick({ position: { x: 80, y: 12 } })
  const passage = page.getByRole('region', { name: 'The passage at the cursor' })
  const paragraph = (await text(page).locator('p').first().textContent())!
  await expect(passage).toContainText(
    /The one chosen word \(\d+ characters, 1 second to read\) is in British English, as the book is/,
  )
  await value(page, 'Language of the words', 'Welsh')
  await expect(text(page).locator('[lang=cy]')).toHaveCount(1)
  // What the author has to say of them stands beside them, and in no page.
  await passage.getByLabel('Remark on the words').fill('Ask Ned about this.')
  await passage.getByLabel('Remark on the words').press('Enter')
  await expect(page.locator('.margins li.remark')).toHaveText('Ask Ned about this.')
  expect((await text(page).locator('p').first().textContent())!).toBe(paragraph)
  await text(page).locator('[lang=cy]').click()
  await expect(passage).toContainText('These words are in Welsh')
  await text(page).locator('p').nth(3).click()
  await page.keyboard.press('Home')
  await page.waitForTimeout(200)
  await page.keyboard.press('Enter')
  await page.keyboard.press('ArrowUp')
  await page.waitForTimeout(200)
  await page.keyboard.type('# Of oars and oarsmen')
  await expect(text(page).locator('h2')).toHaveText('Of oars and oarsmen')
  await expect(page.locator('.saving')).toHaveText('saved')

  await sections(page)
    .getByRole('button', { name: /^Contents/ })
    .click()
  const entries = page.getByRole('list', { name: 'Entries of the contents' }).getByRole('checkbox')
  await expect(entries).toHaveCount(3)
  await value(page, 'What the contents list', 'titles and headings')
  await expect(entries).toHaveCount(4)
  await expect(page.getByRole('checkbox', { name: 'Of oars and oarsmen' })).toBeChecked()
  await page.getByRole('link', { name: 'Interior' }).click()
  await page.getByPlaceholder('find in the pages').fill('Of oars')
  await page.keyboard.press('Enter')
  // In the contents, and in the text.
  await expect(page.getByText('1 of 2', { exact: true })).toBeVisible({ timeout: 30_000 })
  await page.getByPlaceholder('find in the pages').fill('Ask Ned')
  await expect(page.getByText('nowhere', { exact: true })).toBeVisible()
})

test('intake says what was left out, and where; a cover takes a picture', async ({ page }) => {
  await open(page)
  await page.goto('/')
  await page.getByLabel('Manuscript file').setInputFiles({
    name: 'holes.md',
    mimeType: 'text/markdown',
    buffer: Buffer.from('# Chapter One\n\nA map stood here.\n\n![the map](nowhere.png)\n\n# Chapter Two\n\nAnd on.\n'),
  })
  await expect(page.locator('.dropped li').first()).toContainText('1 ×', { timeout: 30_000 })
  await page.locator('.dropped li button', { hasText: '“the map”' }).click()
  await expect(page.getByText('What stood there is in a title, or has no words of its own.')).toBeVisible()
  await page.getByRole('button', { name: 'Leave it' }).click()
  await page.goto('/book/small-apiary-logbook/cover')
  await page.getByRole('button', { name: 'Bring one in' }).waitFor({ timeout: 60_000 })
  await page.getByLabel('Cover picture file').setInputFiles('demo/harbour.png')
  await expect(page.getByRole('combobox', { name: 'Picture covers' })).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByRole('button', { name: 'Bring one in' })).toBeVisible()
})
