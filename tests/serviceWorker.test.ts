import { describe, expect, test } from '@jest/globals'
import { readFileSync } from 'node:fs'
import { runInNewContext } from 'node:vm'

/** The service worker's own file, run with a browser's caches and fetch as stand-ins. */
const script = readFileSync('public/sw.js', 'utf8')

function worker(
  build: string,
  stores: Map<string, Map<string, string>>,
  answer: (url: string) => { ok: boolean; text: string } | undefined,
) {
  const handlers: Record<string, (e: { waitUntil: (p: Promise<unknown>) => void }) => void> = {}
  const cacheOf = (name: string) => {
    if (!stores.has(name)) stores.set(name, new Map())
    const s = stores.get(name)!
    return {
      put: async (url: string, r: { text: string }) => void s.set(url, r.text),
      match: async (url: string) => s.get(url),
    }
  }
  let skipped = false
  runInNewContext(script, {
    URL,
    Response,
    Error,
    Promise,
    self: {
      location: { href: `https://x/sw.js?build=${build}`, origin: 'https://x' },
      addEventListener: (name: string, f: never) => {
        handlers[name] = f
      },
      skipWaiting: async () => {
        skipped = true
      },
      clients: { claim: async () => undefined },
    },
    caches: {
      open: async (n: string) => cacheOf(n),
      keys: async () => [...stores.keys()],
      delete: async (n: string) => stores.delete(n),
      match: async () => undefined,
    },
    fetch: async (url: string) => {
      const a = answer(url)
      if (!a) throw new Error('no network')
      return { ...a, status: a.ok ? 200 : 503, json: async () => JSON.parse(a.text) as unknown }
    },
  })
  const fire = async (name: string): Promise<void> => {
    let wait: Promise<unknown> = Promise.resolve()
    handlers[name]!({
      waitUntil: p => {
        wait = p
      },
    })
    await wait
  }
  return { fire, skipped: () => skipped }
}
const list = JSON.stringify({ files: ['/a.js', '/b.js', '/c.js', '/d.js', '/e.js'], pages: ['/'] })
const all = (url: string) => ({ ok: true, text: url === '/precache' ? list : url })

describe('an update of the kept program', () => {
  test('that can fetch everything takes the place of the old one', async () => {
    const stores = new Map([['porchlight-old', new Map([['/old.js', 'x']])]])
    const w = worker('new', stores, all)
    await w.fire('install')
    expect(w.skipped()).toBe(true)
    expect([...stores.get('porchlight-new')!.keys()].sort()).toEqual(['/', '/a.js', '/b.js', '/c.js', '/d.js', '/e.js'])
    await w.fire('activate')
    expect([...stores.keys()]).toEqual(['porchlight-new'])
  })
  test.each([
    ['fails', (url: string) => (url === '/d.js' ? undefined : all(url))],
    ['answers with an error', (url: string) => (url === '/d.js' ? { ok: false, text: '' } : all(url))],
    ['has no list', (url: string) => (url === '/precache' ? undefined : all(url))],
  ])('of which one file %s keeps the old one whole, and nothing of the new', async (_how, answer) => {
    const stores = new Map([['porchlight-old', new Map([['/old.js', 'x']])]])
    const w = worker('new', stores, answer)
    await expect(w.fire('install')).rejects.toThrow()
    expect(w.skipped()).toBe(false)
    expect([...stores]).toEqual([['porchlight-old', new Map([['/old.js', 'x']])]])
  })
  test('a file that fails once is fetched again', async () => {
    const stores = new Map<string, Map<string, string>>()
    let failed = false
    await worker('new', stores, url => (url === '/c.js' && !failed ? ((failed = true), undefined) : all(url))).fire(
      'install',
    )
    expect(stores.get('porchlight-new')!.has('/c.js')).toBe(true)
  })
})
