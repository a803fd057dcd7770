import type { MetadataRoute } from 'next'

/** What a browser needs to install the program. */
export default function manifest(): MetadataRoute.Manifest {
  return {
    name: 'Porchlight',
    short_name: 'Porchlight',
    description: 'One source for each book; everything else follows from it.',
    start_url: '/',
    display: 'standalone',
    background_color: '#fbf8f1',
    theme_color: '#15343d',
    icons: [
      { src: '/icon.svg', sizes: 'any', type: 'image/svg+xml' },
      { src: '/icons/porchlight-192.png', sizes: '192x192', type: 'image/png' },
      { src: '/icons/porchlight-512.png', sizes: '512x512', type: 'image/png' },
    ],
  }
}
