import { type NextRequest, NextResponse } from 'next/server'

/** Pages may run their own scripts and no others: each answer has a nonce of its own, which the page's scripts carry. A page that is kept for when there is no network keeps its answer's headers, and so its nonce. */
const policy = (nonce: string, dev: boolean): string =>
  [
    "default-src 'self'",
    // 'wasm-unsafe-eval' lets WebAssembly compile without opening eval; the development server needs eval.
    `script-src 'self' 'nonce-${nonce}' 'wasm-unsafe-eval'${dev ? " 'unsafe-eval'" : ''}`,
    // Styles are inline because Ant Design writes them so.
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "media-src 'self' blob:",
    "font-src 'self' data:",
    "connect-src 'self'",
    "worker-src 'self'",
    // The reading room shows pages of the book itself, which run nothing.
    "frame-src 'self' blob:",
    "frame-ancestors 'none'",
    "base-uri 'self'",
    "form-action 'self'",
    "object-src 'none'",
    "manifest-src 'self'",
  ].join('; ')

export function proxy(request: NextRequest): NextResponse {
  const nonce = btoa(crypto.randomUUID())
  const csp = policy(nonce, process.env.NODE_ENV !== 'production')
  // Next reads the nonce from the request's own policy, and gives it to every script it writes.
  const headers = new Headers(request.headers)
  headers.set('Content-Security-Policy', csp)
  const response = NextResponse.next({ request: { headers } })
  response.headers.set('Content-Security-Policy', csp)
  // Whoever stands between must not keep pages: the next build has others.
  response.headers.set('Cache-Control', 'private, no-cache')
  return response
}

// Pages; files that carry their content's name, data and the market's answers have no scripts.
export const config = { matcher: ['/((?!api/|_next/|fonts/|colour/|icons/|demo/|precache|sw.js|manifest|icon).*)'] }
