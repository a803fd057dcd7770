import { expect, type Page } from '@playwright/test'
import { FRAME_SECONDS, silence } from '../tests/support/recordings'
import { long, test } from './library'
import { value } from './sentence'

const book = '/book/tidewardens-almanac'
const figures = (page: Page) => page.locator('.turns .figures')

/** Where an element of the page that is read stands on the screen. */
const spot = (page: Page, selector: string) =>
  page.evaluate(s => {
    const frame = document.querySelector<HTMLIFrameElement>('.device iframe')!
    const outer = frame.getBoundingClientRect()
    const inner = frame.contentDocument!.querySelector(s)!.getBoundingClientRect()
    const k = outer.width / Number.parseFloat(frame.style.width)
    return { x: outer.x + (inner.x + inner.width / 2) * k, y: outer.y + (inner.y + inner.height / 2) * k }
  }, selector)

test('the reading room: the file is read on devices, its links, notes and pages lead where they say, and to the text and back', async ({
  page,
}) => {
  await page.goto('/')
  await expect(page.getByRole('listitem')).toHaveCount(3, { timeout: 60_000 })
  await page.goto(`${book}/ebook`)
  await expect(figures(page)).toHaveText(/^1 of 1 · 0 %$/, { timeout: 30_000 })
  const contents = page.getByRole('navigation', { name: 'Contents of the ebook' })

  // A chapter fills screens; larger letters fill more of them, and the place is kept.
  await contents.getByRole('button', { name: /The Patient Margaret/ }).click()
  await expect(figures(page)).toHaveText(/^1 of \d+/)
  await expect(page.getByText('printed on page 7')).toBeVisible()
  const screens = async (): Promise<number> => Number(/of (\d+)/.exec((await figures(page).textContent())!)![1])
  const before = await screens()
  await page.keyboard.press('ArrowRight')
  await page.keyboard.press('ArrowRight')
  await expect(figures(page)).toHaveText(/^3 of/)
  await value(page, 'Size of letters', 'large')
  await expect.poll(screens).toBeGreaterThan(before)
  await expect(figures(page)).not.toHaveText(/^1 of/)
  await value(page, 'Size of letters', 'usual')
  await expect(figures(page)).toHaveText(new RegExp(`^3 of ${before} `))

  // Back over the beginning is the end of the page before.
  await contents.getByRole('button', { name: /The Patient Margaret/ }).click()
  await expect(figures(page)).toHaveText(/^1 of/)
  await page.keyboard.press('ArrowLeft')
  await expect(contents.locator('[aria-current]')).toHaveText(/The Bell Rings/)
  await expect.poll(async () => /^(\d+) of \1 /.test((await figures(page).textContent())!)).toBe(true)

  // Words lead to where they are written, and the text to where it is read.
  await contents.getByRole('button', { name: /A Smaller Sea/ }).click()
  await expect(figures(page)).toHaveText(/^1 of/)
  // A frame that is just being filled anew answers nothing: who reads clicks again.
  await expect(async () => {
    const words = await spot(page, 'p.first')
    await page.mouse.click(words.x, words.y)
    await expect(page.locator('.place blockquote')).toHaveText(/^The inquiry was called for that day week/, {
      timeout: 1000,
    })
  }).toPass({ timeout: 15_000 })
  await page.getByRole('link', { name: 'Write them' }).click()
  await expect(page).toHaveURL(/\/text\?section=s\d+&block=b\d+/)
  await page.locator('.ProseMirror p').first().waitFor()
  const place = new URL(page.url()).search
  await page.goto(`${book}/ebook${place}`)
  await expect(contents.locator('[aria-current]')).toHaveText(/A Smaller Sea/, { timeout: 30_000 })

  // A note stands over the text and gives it back.
  await contents.getByRole('button', { name: /The Patient Margaret/ }).click()
  await expect(figures(page)).toHaveText(/^1 of/)
  await expect(async () => {
    const call = await spot(page, 'a[role="doc-noteref"]')
    const frame = (await page.locator('.device iframe').boundingBox())!
    if (call.x > frame.x + frame.width) await page.keyboard.press('ArrowRight')
    expect(call.x).toBeLessThan(frame.x + frame.width)
  }).toPass({ timeout: 10_000 })
  const call = await spot(page, 'a[role="doc-noteref"]')
  await page.mouse.click(call.x, call.y)
  await expect(page.getByRole('dialog', { name: 'Note' })).toContainText('Her name was Temperance Marl')
  await page.getByRole('button', { name: 'Back to the text' }).click()
  await expect(page.getByRole('dialog', { name: 'Note' })).toHaveCount(0)

  // The faces go with the file, which weighs more; one undo takes them out.
  const weight = page.locator('.file').getByText(/it weighs/)
  const light = await weight.textContent()
  await value(page, 'Faces in the file', 'its style’s faces')
  await expect(weight).not.toHaveText(light!, { timeout: 20_000 })
  await expect
    .poll(() =>
      page.evaluate(() => {
        const doc = document.querySelector<HTMLIFrameElement>('.device iframe')?.contentDocument
        return doc?.body ? getComputedStyle(doc.body).fontFamily : ''
      }),
    )
    .toContain('EB Garamond')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(weight).toHaveText(light!, { timeout: 20_000 })

  // An own rule that would break the file is refused with its line; a sound one shows.
  await page.getByRole('button', { name: 'its style sheet' }).click()
  const rules = page.getByRole('textbox', { name: 'Your own rules' })
  await rules.click()
  await page.keyboard.insertText('p { margin: 0 }\n@import "x.css";')
  await expect(page.locator('.workings').getByRole('alert')).toHaveText('Line 2: It may not load another sheet.')
  await expect(page.getByRole('button', { name: 'Take them' })).toBeDisabled()
  await page.keyboard.press('Control+a')
  await page.keyboard.insertText('h1 .title { color: rgb(170, 51, 51) }')
  const address = await page.locator('.device iframe').getAttribute('src')
  await page.getByRole('button', { name: 'Take them' }).click()
  await expect
    .poll(() =>
      page.evaluate(() => {
        const title = document
          .querySelector<HTMLIFrameElement>('.device iframe')
          ?.contentDocument?.querySelector('h1 .title')
        return title ? getComputedStyle(title).color : ''
      }),
    )
    .toBe('rgb(170, 51, 51)')
  // The page that is read stays, and is given its styles anew.
  expect(await page.locator('.device iframe').getAttribute('src')).toBe(address)
})

test('on a telephone the ebook is read as well; a book without one says how to come by it', async ({ page }) => {
  await page.goto('/')
  await expect(page.getByRole('listitem')).toHaveCount(3, { timeout: 60_000 })
  await page.setViewportSize({ width: 390, height: 780 })
  await page.goto(`${book}/ebook`)
  await expect(figures(page)).toHaveText(/^1 of 1/, { timeout: 30_000 })
  expect((await page.locator('.device').boundingBox())!.height).toBeGreaterThan(400)
  await page.goto('/book/small-apiary-logbook/ebook')
  await expect(page.getByRole('heading', { name: 'No ebook yet' })).toBeVisible({ timeout: 30_000 })
  await expect(page.getByText('making the file')).toHaveCount(0)
})

test('a voice reads a chapter of the ebook as the book has it: title, words and notes in their order', async ({
  page,
}) => {
  await page.goto('/')
  await expect(page.getByRole('listitem')).toHaveCount(3, { timeout: 60_000 })
  await page.goto(`${book}/ebook`)
  await expect(figures(page)).toHaveText(/^1 of 1/, { timeout: 30_000 })
  const contents = page.getByRole('navigation', { name: 'Contents of the ebook' })
  const cdp = await page.context().newCDPSession(page)
  for (const [name, title, first] of [
    [/The Patient Margaret/, 'Chapter Two The Patient Margaret', 'The master of the Patient Margaret came ashore'],
    [/Letters to the Tidewarden/, 'Interlude: Letters to the Tidewarden', 'Isbrand Quill kept all his letters.'],
    [/What Temperance Marl/, 'Chapter Four What Temperance Marl Put Under the Quay', undefined],
  ] as const) {
    await contents.getByRole('button', { name }).click()
    await expect(figures(page)).toHaveText(/^1 of/)
    await expect(contents.locator('[aria-current]')).toHaveText(name)
    const frames = (await cdp.send('Page.getFrameTree')).frameTree.childFrames ?? []
    const { nodes } = await cdp.send('Accessibility.getFullAXTree', { frameId: frames.at(-1)!.frame.id })
    const byId = new Map(nodes.map(n => [n.nodeId, n]))
    const spoken: string[] = []
    const walk = (id: string): void => {
      const n = byId.get(id)!
      const role = n.role?.value as string
      if (role === 'StaticText') spoken.push(String(n.name?.value ?? ''))
      else for (const c of n.childIds ?? []) walk(c)
    }
    walk(nodes[0]!.nodeId)
    // What the page's own text says, in the order of the document.
    const written = await page.evaluate(
      () => document.querySelector<HTMLIFrameElement>('.device iframe')!.contentDocument!.body.textContent ?? '',
    )
    const letters = (s: string): string => s.replace(/[^\p{L}\p{N}]/gu, '')
    expect(letters(spoken.join(''))).toBe(letters(written))
    expect(spoken.join(' ').replace(/\s+/g, ' ').trim()).toContain(title)
    if (first) expect(spoken.join('').replace(/\s+/g, ' ')).toContain(first)
    const heads = nodes.filter(n => n.role?.value === 'heading')
    expect(heads.length).toBeGreaterThan(0)
  }
})

long(
  'an ebook is made lighter, its pictures compared, and its pages fixed; a book of planned pages has one too',
  async ({ page }) => {
    await page.goto('/')
    await expect(page.getByRole('listitem')).toHaveCount(3, { timeout: 60_000 })
    await page.goto(`${book}/ebook`)
    const weight = page.locator('.weight')
    const megabytes = async (): Promise<number> =>
      Number(
        /Weight\s*(?:[\d.]+ MB)?\s*([\d.]+) MB$/.exec(
          (await page.locator('.sill .figure').nth(1).innerText()).trim(),
        )![1],
      )
    await expect(weight.getByRole('button')).toHaveCount(3, { timeout: 60_000 })
    const before = await megabytes()

    // A likeness is stated; the file is lighter by what is said, and undo brings the pictures back as they came.
    await value(page, 'Pictures of the ebook', 'are as light as they can be')
    await expect(weight).toContainText(/It weighs \d+ kB instead of \d+ kB\./, { timeout: 60_000 })
    await expect(weight.getByRole('spinbutton', { name: 'Least likeness' })).toHaveValue('95')
    await expect.poll(megabytes).toBeLessThan(before * 0.8)

    // One picture as it came and as it goes: the line between them moves by keys, and the next follows.
    await weight.getByRole('button', { name: 'bell-works.png' }).click()
    const slider = page.getByRole('slider', { name: 'Where the one ends and the other begins' })
    await expect(slider).toHaveValue('50')
    await slider.press('ArrowLeft')
    await expect(slider).toHaveValue('49')
    await expect(page.locator('.became')).toContainText(/bell-works\.png, 1 of 3: \d+ kB instead of \d+ kB/)
    await page.getByRole('button', { name: 'The next picture' }).click()
    await expect(page.locator('.became')).toContainText('2 of 3')
    await page.keyboard.press('Escape')
    await expect(slider).toHaveCount(0)

    // A weight is stated, and met.
    await value(page, 'Pictures of the ebook', 'are made so light')
    await expect
      .poll(async () => Number(await weight.getByRole('spinbutton', { name: 'Most weight' }).inputValue()))
      .toBeLessThan(before)
    const most = Number(await weight.getByRole('spinbutton', { name: 'Most weight' }).inputValue())
    await expect
      .poll(async () => (await megabytes()) <= most || (await weight.innerText()).includes('without spoiling'), {
        timeout: 30_000,
      })
      .toBe(true)

    // Its pages as they print: words lie over what is seen.
    await value(page, 'Pages of the ebook', 'is fixed in its printed pages')
    await expect(page.locator('.reader')).toContainText('page by page, as they are printed', { timeout: 30_000 })
    await page.getByRole('button', { name: 'A Smaller Sea' }).click()
    const words = (): Promise<string> =>
      page.evaluate(() =>
        [...document.querySelector<HTMLIFrameElement>('.device iframe')!.contentDocument!.querySelectorAll('text')]
          .map(t => t.textContent)
          .join(' '),
      )
    await expect.poll(words).toContain('A Smaller Sea The inquiry was called for that day week.')

    await page.goto('/book/small-apiary-logbook/plan')
    await page.getByRole('button', { name: 'ebook', exact: true }).click()
    await page.getByRole('link', { name: 'Ebook', exact: true }).last().click()
    await expect(figures(page)).toHaveText(/^1 of 133 /, { timeout: 60_000 })
    await page.getByRole('button', { name: 'Swarms' }).click()
    await expect.poll(words).toMatch(/Swarm/)
    // On its side a tablet shows two pages, which are turned together.
    await value(page, 'Device', 'a tablet on its side')
    await expect(page.locator('.device iframe')).toHaveCount(2)
    await expect(figures(page)).toHaveText(/^(\d+)–(\d+) of 133 /)
    const pair = async (): Promise<number[]> =>
      (await figures(page).textContent())!.match(/\d+/g)!.slice(0, 2).map(Number)
    const [left, right] = (await pair()) as [number, number]
    expect(right).toBe(left + 1)
    await page.getByRole('button', { name: 'A screen on' }).click()
    await expect.poll(pair).toEqual([left + 2, right + 2])
  },
)

test('a sound is put into the text with its words, plays in the ebook, and stays out where an outlet takes none', async ({
  page,
}) => {
  await page.goto('/')
  await expect(page.getByRole('listitem')).toHaveCount(3, { timeout: 60_000 })
  await page.goto('/book/lampblack-regatta/text')
  const text = page.locator('.ProseMirror')
  await text.locator('p').nth(2).click()
  await page.waitForTimeout(200)
  const sound = page.getByLabel('Sound or film file')
  await sound.setInputFiles({ name: 'notes.mp3', mimeType: 'audio/mpeg', buffer: Buffer.from('no sound at all') })
  await expect(page.getByText('is no sound or film that ebooks play')).toBeVisible()
  await sound.setInputFiles({ name: 'bell.mp3', mimeType: 'audio/mpeg', buffer: Buffer.from(silence(120)) })
  const said = page.getByRole('region', { name: 'The recording at the cursor' })
  await expect(said).toContainText('The sound at the cursor is bell.mp3, 3 s')
  await expect(said).toContainText('Pellowick takes no sound')
  await said.getByLabel('What the sound is').fill('The harbour bell')
  await said.getByRole('button', { name: 'not written down' }).click()
  await said.getByLabel('What is said and heard in the recording').fill('A bell rings twelve times.')
  await expect(said.getByRole('button', { name: 'written down in 5 words' })).toBeVisible()
  await text.getByRole('button', { name: 'Play it' }).click()
  await expect(text.locator('audio')).toHaveCount(1)
  await expect(page.getByText('saved', { exact: true })).toBeVisible()

  await page.goto('/book/lampblack-regatta/ebook')
  const file = page.locator('.file')
  await expect(file).toContainText('It plays a sound', { timeout: 30_000 })
  await page.getByRole('button', { name: /Ten Oars/ }).click()
  const frame = page.frameLocator('iframe[title="The page as it is read"]')
  const media = frame.locator('audio[aria-label="The harbour bell"]')
  // What is shown is what is in the file: it can be played.
  await expect.poll(() => media.evaluate((a: HTMLAudioElement) => a.readyState)).toBeGreaterThan(0)
  expect(await media.evaluate((a: HTMLAudioElement) => a.duration)).toBeCloseTo(120 * FRAME_SECONDS, 0)
  await expect(frame.locator('details.spoken')).toContainText('A bell rings twelve times.')
  await value(page, 'Outlet', 'Pellowick')
  await expect(file).toContainText('It goes without a sound', { timeout: 30_000 })
  await expect(media).toHaveCount(0)
  await expect(frame.locator('details.spoken')).toContainText('A bell rings twelve times.')
})

long('other books of the author lead to their pages at the outlet that the ebook goes to', async ({ page }) => {
  await page.goto('/')
  await expect(page.getByRole('listitem')).toHaveCount(3, { timeout: 60_000 })
  await page.goto('/book/lampblack-regatta/listings')
  await page.getByRole('button', { name: /Ebook at Ostrevane/ }).click()
  const address = page.getByLabel('Address at Ostrevane')
  await address.fill('javascript:alert(1)')
  await address.press('Enter')
  await expect(page.getByText('is no address of a page in the web')).toBeVisible()
  await address.fill('ostrevane.example/books/regatta')
  await address.press('Enter')
  await expect(address).toHaveValue('https://ostrevane.example/books/regatta')
  await page.goto(`${book}/text`)
  await page.getByRole('button', { name: 'Add a section' }).click()
  await page
    .getByRole('menuitem', { name: /Also by/ })
    .first()
    .click()
  await page.waitForTimeout(500)
  await page.goto(`${book}/ebook`)
  await expect(page.locator('.file')).toContainText('leads to', { timeout: 30_000 })
  const frame = page.frameLocator('iframe[title="The page as it is read"]')
  // The list stands behind the text: no contents lead there.
  await page.getByRole('navigation', { name: 'Contents of the ebook' }).getByRole('button').last().click()
  const link = frame.locator('a[href="https://ostrevane.example/books/regatta"]')
  await expect(async () => {
    await page.getByRole('button', { name: 'A screen on' }).click()
    await expect(link).toHaveText('The Lampblack Regatta', { timeout: 300 })
  }).toPass({ timeout: 60_000 })
  await value(page, 'Outlet', 'Pellowick')
  await expect(page.locator('.file')).toContainText('does not lead to', { timeout: 30_000 })
})
