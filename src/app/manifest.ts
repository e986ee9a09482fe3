/** How the app stands on a phone or tablet once it is installed. */
import type { MetadataRoute } from 'next'
import { sharedField, sharePath } from '@/ui/photo/handedStore'

export default function manifest(): MetadataRoute.Manifest {
  return {
    name: 'Itinerum',
    short_name: 'Itinerum',
    description: 'The travelling companion of a furniture painter’s workshop.',
    start_url: '/',
    display: 'standalone',
    background_color: '#ece5d7',
    theme_color: '#ece5d7',
    shortcuts: [
      { name: 'At the kerb', url: '/kerb' },
      { name: 'The bench', url: '/' },
    ],
    share_target: {
      action: sharePath,
      method: 'POST',
      enctype: 'multipart/form-data',
      params: { files: [{ name: sharedField, accept: ['image/*'] }] },
    },
    icons: [
      { src: '/icon.svg', sizes: 'any', type: 'image/svg+xml', purpose: 'any' },
      { src: '/icon-192.png', sizes: '192x192', type: 'image/png', purpose: 'any' },
      { src: '/icon-512.png', sizes: '512x512', type: 'image/png', purpose: 'any' },
      { src: '/icon-maskable.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
    ],
  }
}
