import AxeBuilder from '@axe-core/playwright'
import { expect, type Page } from '@playwright/test'
import { test } from './library'

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
  { name: 'ebook', path: `${book}/ebook`, ready: p => p.getByText('1 of 1').waitFor() },
  { name: 'check', path: `${book}/check`, ready: p => p.getByText('The rights are not stated.').waitFor() },
  { name: 'listings', path: `${book}/listings`, ready: p => p.locator('.sheet').waitFor() },
  {
    name: 'pages',
    path: '/book/small-apiary-logbook/pages',
    ready: p => p.locator('.flatplan [data-painted=true]').first().waitFor(),
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
  { name: 'supplies', path: '/supplies', ready: p => p.getByRole('heading', { name: 'Standing matter' }).waitFor() },
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

const tags = ['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa']
/** What the tone of a room may change: the rest of the page is the same by day and by dusk. */
const ofColour = ['color-contrast', 'link-in-text-block']

/** What axe says of a page that matters: rule, places and reasons. */
async function serious(axe: AxeBuilder): Promise<string[][]> {
  const { violations } = await axe.options({ resultTypes: ['violations'] }).analyze()
  return violations
    .filter(v => v.impact === 'serious' || v.impact === 'critical')
    .map(v => [
      v.id,
      ...v.nodes.slice(0, 3).map(n => `${n.target.join(' ')}: ${n.any[0]?.message ?? ''}`.slice(0, 200)),
    ])
}

/** Turns the room to dusk, and waits until its colours have come to rest. */
async function dusk(page: Page): Promise<void> {
  await page.emulateMedia({ colorScheme: 'dark' })
  await page.locator('.frame[data-tone=dark]').waitFor()
  await page.evaluate(() => Promise.allSettled(document.getAnimations().map(a => a.finished)))
}

/** How far a room runs out of a telephone's page, pixels; 0 where it does not. */
async function overflow(page: Page): Promise<number> {
  const size = page.viewportSize()!
  await page.setViewportSize({ width: 390, height: 780 })
  await page.waitForTimeout(250)
  const wide = await page.evaluate(() => document.documentElement.scrollWidth)
  await page.setViewportSize(size)
  return Math.max(0, wide - 390)
}

for (const [name, some] of [
  ['of a book', rooms.slice(0, 8)],
  ['beside the books', rooms.slice(8)],
] as const)
  test(`nothing serious for axe in any room ${name}, by day and, in the deep run, by dusk; none runs out of a telephone’s page`, async ({
    page,
  }) => {
    test.setTimeout(240_000)
    await page.goto('/')
    await expect(page.getByRole('listitem')).toHaveCount(3, { timeout: 60_000 })
    const found: unknown[] = []
    for (const room of some) {
      await page.emulateMedia({ colorScheme: 'light' })
      await page.goto(room.path)
      await room.ready(page)
      // Frames of the reading room run nothing, and so no axe: what stands in them is held by tests of the ebook.
      found.push(
        ...(await serious(new AxeBuilder({ page }).exclude('.device iframe').withTags(tags))).map(v => [
          room.name,
          'day',
          ...v,
        ]),
      )
      const wide = await overflow(page)
      if (wide) found.push([room.name, `${wide} pixels too wide on a telephone`])
      // The colours of dusk are looked at in the deep run; a room's own by day here.
      if (!process.env.DEEP) continue
      await dusk(page)
      found.push(...(await serious(new AxeBuilder({ page }).withRules(ofColour))).map(v => [room.name, 'dusk', ...v]))
    }
    expect(found).toEqual([])
  })

test('a question mark lists the keys, and again puts them away', async ({ page }) => {
  await page.goto('/outlets')
  await page.getByRole('table').waitFor()
  await page.locator('body').press('?')
  await expect(page.getByRole('dialog', { name: 'Keys' })).toContainText('Ctrl Z')
  await page.keyboard.press('Escape')
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeHidden()
})
