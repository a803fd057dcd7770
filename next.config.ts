import type { NextConfig } from 'next'

// 'wasm-unsafe-eval' lets WebAssembly compile without opening eval; styles are inline because Ant Design writes them so.
const policy = (dev: boolean) =>
  [
    "default-src 'self'",
    `script-src 'self' 'unsafe-inline' 'wasm-unsafe-eval'${dev ? " 'unsafe-eval'" : ''}`,
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "font-src 'self' data:",
    "connect-src 'self'",
    "worker-src 'self' blob:",
    "frame-ancestors 'none'",
    "base-uri 'self'",
    "form-action 'self'",
    "manifest-src 'self'",
  ].join('; ')

const config: NextConfig = {
  poweredByHeader: false,
  reactStrictMode: true,
  // The types are checked by `npm run typecheck`, a step of `npm test` before the build: once is enough.
  typescript: { ignoreBuildErrors: true },
  // Tells the service worker of one build from that of another.
  env: { NEXT_PUBLIC_BUILD: Date.now().toString(36) },
  // harfbuzzjs asks for Node's modules behind a run-time test; the browser build gets an empty one.
  turbopack: { resolveAlias: { module: { browser: './src/workers/empty.ts' }, fs: { browser: './src/workers/empty.ts' }, path: { browser: './src/workers/empty.ts' }, url: { browser: './src/workers/empty.ts' } } },
  headers: async () => [
    {
      source: '/:path*',
      headers: [
        { key: 'Content-Security-Policy', value: policy(process.env.NODE_ENV !== 'production') },
        { key: 'X-Content-Type-Options', value: 'nosniff' },
        { key: 'Referrer-Policy', value: 'no-referrer' },
      ],
    },
  ],
}

export default config
