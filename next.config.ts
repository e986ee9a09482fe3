import type { NextConfig } from 'next'

const config: NextConfig = {
  poweredByHeader: false,
  reactStrictMode: true,
  // `./itinerum test types` checks them, once; a start need not
  typescript: { ignoreBuildErrors: true },
  serverExternalPackages: ['pg', 'sharp', '@react-pdf/renderer'],
  // the door sees the framework's own headers too, and stops those that can't be read
  skipProxyUrlNormalize: true,
  // maps of the server's code are three quarters of what a build weighs, and nobody reads them where it is served
  experimental: { serverActions: { bodySizeLimit: '1mb' }, turbopackSourceMaps: process.env.NODE_ENV !== 'production' },
  headers: () =>
    Promise.resolve([
      {
        source: '/:path*',
        headers: [
          { key: 'X-Content-Type-Options', value: 'nosniff' },
          { key: 'X-Frame-Options', value: 'DENY' },
          { key: 'Referrer-Policy', value: 'no-referrer' },
          { key: 'Cross-Origin-Opener-Policy', value: 'same-origin' },
          { key: 'Cross-Origin-Resource-Policy', value: 'same-origin' },
          { key: 'Permissions-Policy', value: 'camera=(self), microphone=(), geolocation=(), payment=(), usb=()' },
        ],
      },
    ]),
}
export default config
