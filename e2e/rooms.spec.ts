import AxeBuilder from '@axe-core/playwright'
import { expect, type Page, test } from '@playwright/test'

/** Every room, in light and dark: nothing serious for axe. */
const book = '/book/tidewardens-almanac'
const rooms: { name: string; path: string; ready: (page: Page) => Promise<unknown> }[] = [
  { name: 'plan', path: `${book}/plan`, ready: p => p.getByRole('heading', { name: 'What is left to do' }).waitFor() },
  { name: 'text', path: `${book}/text`, ready: p => p.locator('.ProseMirror p').first().waitFor() },
  {
    name: 'interior',
    path: `${book}/interior`,
    ready: p => p.locator('.spread canvas[data-painted=true]').nth(1).waitFor(),
  },
  { name: 'cover', path: `${book}/cover`, ready: p => p.locator('.konvajs-content canvas').first().waitFor() },
  { name: 'check', path: `${book}/check`, ready: p => p.getByText('The rights are not stated.').waitFor() },
  { name: 'listings', path: `${book}/listings`, ready: p => p.locator('.sheet').waitFor() },
  {
    name: 'pages',
    path: '/book/small-apiary-logbook/pages',
    ready: p => p.locator('.spread canvas[data-painted=true]').first().waitFor(),
  },
  {
    name: 'research',
    path: '/research',
    ready: async p => {
      await p.getByRole('button', { name: 'lighthouse' }).click()
      await p.getByRole('table').waitFor()
    },
  },
  { name: 'ledger', path: '/ledger', ready: p => p.getByText('Nothing is on sale yet').waitFor() },
  { name: 'outlets', path: '/outlets', ready: p => p.getByRole('table').waitFor() },
  {
    name: 'backup',
    path: '/backup',
    ready: p =>
      p
        .getByRole('button', { name: /^Save / })
        .first()
        .waitFor(),
  },
  { name: 'preferences', path: '/preferences', ready: p => p.getByText('The desk', { exact: true }).first().waitFor() },
  { name: 'intake, empty', path: '/intake', ready: p => p.getByText('No manuscript is waiting').waitFor() },
]

for (const scheme of ['light', 'dark'] as const) {
  test(`nothing serious for axe in any room, ${scheme}`, async ({ browser }) => {
    test.setTimeout(240_000)
    const page = await (
      await browser.newContext({
        colorScheme: scheme,
        baseURL: 'http://localhost:4311',
        viewport: { width: 1280, height: 800 },
      })
    ).newPage()
    await page.goto('/')
    await expect(page.getByRole('listitem')).toHaveCount(4, { timeout: 60_000 })
    const found: unknown[] = []
    for (const room of rooms) {
      await page.goto(room.path)
      await room.ready(page)
      const result = await new AxeBuilder({ page }).withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa']).analyze()
      for (const v of result.violations)
        if (v.impact === 'serious' || v.impact === 'critical')
          found.push([
            room.name,
            v.id,
            v.nodes.slice(0, 3).map(n => `${n.target.join(' ')}: ${n.any[0]?.message ?? ''}`.slice(0, 200)),
          ])
    }
    expect(found).toEqual([])
  })
}

test('a question mark lists the keys, and again puts them away', async ({ page }) => {
  await page.goto('/outlets')
  await page.getByRole('table').waitFor()
  await page.locator('body').press('?')
  await expect(page.getByRole('dialog', { name: 'Keys' })).toContainText('Ctrl Z')
  await page.keyboard.press('Escape')
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeHidden()
})
