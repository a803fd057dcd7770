// Keeps the program for when there is no network: everything it is made of is fetched at the first visit, by the list the server
// gives. Files that carry their content's name are served from the keep first; pages and lists from the network first.
const build = new URL(self.location.href).searchParams.get('build') ?? ''
const keep = `porchlight-${build}`
// Pages of a book are kept once, for this name; another book's are made from them by putting its name in.
const SHELL = 'offline-shell'

self.addEventListener('install', event => {
  event.waitUntil((async () => {
    const cache = await caches.open(keep)
    try {
      const { files, pages } = await (await fetched('/precache')).json()
      // In small groups: the first visit is busy enough.
      const all = [...pages, ...files]
      for (let i = 0; i < all.length; i += 4) await Promise.all(all.slice(i, i + 4).map(async url => cache.put(url, await fetched(url))))
    } catch (e) {
      // All of it or none: what the last build kept stays whole, and the next visit tries again.
      await caches.delete(keep)
      throw e
    }
    await self.skipWaiting()
  })())
})

/** A file of the program, tried twice. Anything but a whole answer is a failure. */
async function fetched(url) {
  for (let last = false; ; last = true) {
    try {
      const response = await fetch(url, { cache: 'no-cache' })
      if (response.ok) return response
      if (last) throw new Error(`${url}: ${response.status}`)
    } catch (e) {
      if (last) throw e
    }
  }
}

self.addEventListener('activate', event => {
  event.waitUntil((async () => {
    for (const name of await caches.keys()) if (name !== keep) await caches.delete(name)
    await self.clients.claim()
  })())
})

self.addEventListener('fetch', event => {
  const { request } = event
  const url = new URL(request.url)
  if (request.method !== 'GET' || url.origin !== self.location.origin || url.pathname.startsWith('/api/') || url.pathname === '/precache') return
  if (/^\/((_next\/static|fonts|colour|dictionaries|icons)\/|tone\.js$)/.test(url.pathname)) return event.respondWith(keptFirst(request))
  if (request.mode === 'navigate') return event.respondWith(page(request, url))
  if (url.pathname.startsWith('/demo/')) return event.respondWith(fetch(request).catch(async () => (await caches.match(request)) ?? Response.error()))
})

async function keptFirst(request) {
  const cache = await caches.open(keep)
  let response = await cache.match(request, { ignoreSearch: true })
  if (!response) {
    response = await fetch(request)
    if (response.ok) await cache.put(request, response.clone())
  }
  // A worker reads its own address: an answer with an address of its own has lost the fragment, a new one takes that of the request.
  return request.destination.endsWith('worker') ? new Response(await response.blob(), { status: response.status, headers: response.headers }) : response
}

async function page(request, url) {
  try {
    return await fetch(request)
  } catch {
    const own = await caches.match(url.pathname)
    if (own) return own
    const [, id, stage] = /^\/book\/([a-z0-9-]+)\/([a-z]+)$/.exec(url.pathname) ?? []
    const shell = id && (await caches.match(`/book/${SHELL}/${stage}`))
    if (!shell) return (await caches.match('/')) ?? Response.error()
    return new Response((await shell.text()).replaceAll(SHELL, id), { headers: shell.headers })
  }
}
