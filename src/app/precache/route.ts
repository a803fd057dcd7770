import { readdir } from 'node:fs/promises'
import { join } from 'node:path'

export const dynamic = 'force-dynamic'

const pages = [
  '/',
  '/porch',
  '/research',
  '/ledger',
  '/supplies',
  '/outlets',
  '/backup',
  '/preferences',
  '/intake',
  ...['plan', 'text', 'pages', 'interior', 'ebook', 'cover', 'check', 'listings'].map(s => `/book/offline-shell/${s}`),
]

async function under(folder: string, address: string): Promise<string[]> {
  const entries = await readdir(folder, { recursive: true, withFileTypes: true }).catch(() => [])
  return entries
    .filter(e => e.isFile() && !e.name.endsWith('.map') && !e.name.endsWith('.txt'))
    .map(e => `${address}${join(e.parentPath, e.name).slice(folder.length).replaceAll('\\', '/')}`)
}

/** GET /precache: all files the program is made of, for the service worker to keep. */
export async function GET(): Promise<Response> {
  const root = process.cwd()
  const files = [
    ...(await under(join(root, '.next/static'), '/_next/static')),
    ...(await under(join(root, 'public/fonts'), '/fonts')),
    ...(await under(join(root, 'public/icons'), '/icons')),
    '/tone.js',
    '/icon.svg',
    '/manifest.webmanifest',
  ]
  return Response.json({ files, pages })
}
