import type { NextConfig } from 'next'

// Of files that are no pages, the workers among them: they run what the program is made of and nothing else. Pages: src/proxy.ts.
const files = [
  "default-src 'self'",
  "script-src 'self' 'wasm-unsafe-eval'",
  "connect-src 'self'",
  "img-src 'self' data: blob:",
  "font-src 'self' data:",
  "style-src 'self' 'unsafe-inline'",
  "frame-ancestors 'none'",
  "base-uri 'none'",
].join('; ')

const config: NextConfig = {
  poweredByHeader: false,
  reactStrictMode: true,
  // React's compiler, where a component asks for it with 'use memo'. Not all may be: some read what changes in place, an editor's state.
  reactCompiler: { compilationMode: 'annotation' },
  // The types are checked by `npm run typecheck`, a step of `npm test` before the build: once is enough.
  typescript: { ignoreBuildErrors: true },
  // Tells the service worker of one build from that of another.
  env: { NEXT_PUBLIC_BUILD: Date.now().toString(36) },
  // harfbuzzjs asks for Node's modules behind a run-time test; the browser build gets an empty one.
  turbopack: {
    resolveAlias: {
      module: { browser: './src/workers/empty.ts' },
      fs: { browser: './src/workers/empty.ts' },
      path: { browser: './src/workers/empty.ts' },
      url: { browser: './src/workers/empty.ts' },
    },
  },
  // The porch had another name once.
  redirects: async () => [{ source: '/shelf', destination: '/porch', permanent: true }],
  headers: async () => [
    {
      source: '/:path*',
      headers: [
        { key: 'X-Content-Type-Options', value: 'nosniff' },
        { key: 'Referrer-Policy', value: 'no-referrer' },
        { key: 'Cross-Origin-Opener-Policy', value: 'same-origin' },
        {
          key: 'Permissions-Policy',
          value:
            'camera=(), microphone=(), geolocation=(), payment=(), usb=(), serial=(), bluetooth=(), display-capture=()',
        },
      ],
    },
    ...['/_next/:path*', '/sw.js', '/api/:path*', '/demo/:path*', '/fonts/:path*', '/colour/:path*'].map(source => ({
      source,
      headers: [{ key: 'Content-Security-Policy', value: files }],
    })),
  ],
}

export default config
