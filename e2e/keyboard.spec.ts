import { expect, type Page } from '@playwright/test'
import { test } from './library'

const text = (page: Page) => page.getByRole('textbox', { name: 'Text of the section' })
const rows = (page: Page) => page.getByRole('navigation', { name: 'Sections' }).locator('button[data-section]')
const stored = (page: Page) => expect(page.locator('.saving')).toHaveText('saved')

/** What has the focus, as it is called. */
const focused = (page: Page): Promise<string> =>
  page.evaluate(() => {
    const e = document.activeElement as HTMLElement | null
    const labelled = e?.id ? document.querySelector(`label[for="${e.id}"]`)?.textContent : undefined
    return (e?.getAttribute('aria-label') ?? labelled ?? e?.textContent ?? '').trim()
  })

/** Keys that a way may take at most: nobody presses more. */
const MOST = 90

/** Goes to what is called so, by the tabulator alone. */
async function reach(page: Page, name: string | RegExp, key: 'Tab' | 'Shift+Tab' = 'Tab'): Promise<void> {
  const seen: string[] = []
  for (let i = 0; i < MOST; i++) {
    await page.keyboard.press(key)
    const is = await focused(page)
    if (typeof name === 'string' ? is === name : name.test(is)) return
    seen.push(is.slice(0, 30))
  }
  throw new Error(`${String(name)} is not reached by ${key}: ${seen.join(' | ')}`)
}

/** Opens a choice that has the focus and takes the one that so many steps lead to. */
async function choose(page: Page, steps: number): Promise<void> {
  await page.keyboard.press('Enter')
  await expect(page.locator('.ant-select-dropdown:visible')).toHaveCount(1)
  for (let i = 0; i < steps; i++) await page.keyboard.press('ArrowDown')
  await page.keyboard.press('Enter')
}

test('with the keyboard alone: a text comes in, is decided, written, ordered, given a table and a link, and undone', async ({
  page,
}) => {
  // Before the page is there: a browser that is not yet asked to tell of it opens its own.
  const asked = page.waitForEvent('filechooser')
  await page.goto('/')
  await expect(page.getByRole('listitem')).toHaveCount(3, { timeout: 60_000 })
  await reach(page, 'Bring in a manuscript')
  await page.keyboard.press('Enter')
  await (
    await asked
  ).setFiles({
    name: 'salt.md',
    mimeType: 'text/markdown',
    buffer: Buffer.from('# Salt\n\nIt was dear.\n\n# Rope\n\nNobody sold it.\n\n# Tar\n\nIt was black.\n'),
  })
  const proposed = page.getByRole('region', { name: 'Proposed sections' }).getByRole('listitem')
  await expect(proposed).toHaveCount(3, { timeout: 30_000 })

  // The last chapter is the afterword: one key.
  await page.keyboard.press('End')
  await page.keyboard.press('b')
  await expect(proposed.last()).toContainText('afterword')
  await reach(page, 'Put it on the porch')
  await page.keyboard.press('Enter')
  await page.waitForURL(/plan/)
  await reach(page, 'Author')
  await page.keyboard.type('Orla Fenwright')
  await page.keyboard.press('Enter')
  await reach(page, 'Text', 'Shift+Tab')
  await page.keyboard.press('Enter')
  await page.waitForURL(/text/)
  await expect(rows(page).nth(3)).toContainText('Salt')

  // Sections: walked by arrows, moved with Alt, opened with Enter.
  await reach(page, /^Salt/)
  await page.keyboard.press('ArrowDown')
  await page.keyboard.press('Alt+ArrowUp')
  await expect(rows(page).nth(3)).toContainText('Rope')
  await expect.poll(() => focused(page)).toContain('Rope')
  await page.keyboard.press('Enter')
  await expect(text(page)).toContainText('Nobody sold it.')

  // Written, formatted, and made a table of.
  await reach(page, 'Text of the section')
  await page.keyboard.press('Control+End')
  await page.waitForTimeout(200)
  await page.keyboard.type(' Then ')
  await page.keyboard.press('Control+b')
  await page.keyboard.type('somebody')
  await page.keyboard.press('Control+b')
  await page.keyboard.type(' did.')
  await expect(text(page).locator('strong')).toHaveText('somebody')
  await stored(page)
  await reach(page, 'Table', 'Shift+Tab')
  await page.keyboard.press('Enter')
  await expect(text(page).locator('table')).toHaveCount(1)
  await expect(text(page).locator('p').first()).toHaveText('Nobody sold it. Then somebody did.')
  await expect.poll(() => focused(page)).toBe('Text of the section')
  await page.keyboard.type('Rope')
  await page.keyboard.press('Tab')
  await page.keyboard.type('Price')
  await expect(text(page).locator('td').nth(1)).toHaveText('Price')
  // The tabulator is the table's; behind Escape it leads on, to what is said of the table.
  await page.keyboard.press('Escape')
  await reach(page, 'Row below')
  await page.keyboard.press('Enter')
  await expect(text(page).locator('tr')).toHaveCount(4)
  await expect(text(page).locator('td').nth(1)).toHaveText('Price')
  await page.keyboard.press('Escape')
  await reach(page, 'Head of the table')
  await choose(page, 1)
  await stored(page)

  // Words lead to an address.
  await reach(page, 'Text of the section', 'Shift+Tab')
  // An editor that has the focus again takes a moment to know its cursor.
  await page.waitForTimeout(200)
  await page.keyboard.press('Control+Home')
  await page.waitForTimeout(200)
  await page.keyboard.press('Control+Shift+ArrowRight')
  await reach(page, 'Link', 'Shift+Tab')
  await page.keyboard.press('Enter')
  await expect.poll(() => focused(page)).toBe('Where the link leads')
  await page.keyboard.type('example.org')
  await page.keyboard.press('Enter')
  await expect(text(page).locator('a')).toHaveText('Nobody')
  await stored(page)

  // What the section is, by its sentence; a new one, by the list's own menu.
  await reach(page, 'What it is', 'Shift+Tab')
  await page.keyboard.press('Enter')
  await expect(page.locator('.ant-select-dropdown:visible')).toHaveCount(1)
  await page.keyboard.press('Escape')
  await reach(page, /^Rope/, 'Shift+Tab')
  await reach(page, 'Add a section')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('menuitem', { name: 'Dedication' })).toBeVisible()
  // The menu takes the focus when it stands.
  await page.waitForFunction(() => !!document.activeElement?.closest('[role="menu"]'))
  await page.keyboard.press('ArrowDown')
  await expect(page.locator('.ant-dropdown-menu-item-active')).toHaveCount(1)
  await page.keyboard.press('Enter')
  await expect(rows(page)).toHaveCount(7)
  await page.keyboard.press('Control+z')
  await expect(rows(page)).toHaveCount(6)
  await reach(page, /^Rope/, 'Shift+Tab')
  await page.keyboard.press('Delete')
  await expect(rows(page)).toHaveCount(5)
  await page.keyboard.press('Control+z')
  await expect(rows(page)).toHaveCount(6)
})
