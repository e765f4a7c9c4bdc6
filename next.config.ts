import type { NextConfig } from 'next';

/**
 * The pages are prerendered, so Next's inline hydration scripts cannot carry a nonce: scripts stay on
 * 'self' plus 'unsafe-inline', and never 'unsafe-eval'. See docs/decisions/content-security.md.
 * `next dev` needs eval for its source maps, and only there.
 */
const contentSecurityPolicy = [
  "default-src 'self'",
  `script-src 'self' 'unsafe-inline'${process.env.NODE_ENV === 'development' ? " 'unsafe-eval'" : ''}`,
  "style-src 'self' 'unsafe-inline'",
  "img-src 'self' data: blob:",
  "font-src 'self'",
  "connect-src 'self'",
  "media-src 'self' blob:",
  "manifest-src 'self'",
  "worker-src 'self' blob:",
  "object-src 'none'",
  "base-uri 'self'",
  "form-action 'self'",
  "frame-ancestors 'none'",
].join('; ');

/** Workers are bound by what their own script is served with: the reader of codes is WebAssembly, which pages never run. */
const workerPolicy = "default-src 'self'; script-src 'self' 'wasm-unsafe-eval'";

const config: NextConfig = {
  reactStrictMode: true,
  poweredByHeader: false,
  // Its threads are started from files of its own.
  serverExternalPackages: ['tinypool'],
  // The linter checks the types of all files, and in a tenth of the time.
  typescript: { ignoreBuildErrors: true },
  headers: () =>
    Promise.resolve([
      {
        source: '/:path*',
        headers: [
          { key: 'Content-Security-Policy', value: contentSecurityPolicy },
          { key: 'X-Content-Type-Options', value: 'nosniff' },
          { key: 'X-Frame-Options', value: 'DENY' },
          { key: 'Referrer-Policy', value: 'no-referrer' },
          { key: 'Cross-Origin-Opener-Policy', value: 'same-origin' },
          {
            key: 'Permissions-Policy',
            value:
              'camera=(self), accelerometer=(self), gyroscope=(self), geolocation=(), web-share=(self), microphone=()',
          },
        ],
      },
      {
        source: '/_next/static/:path*',
        headers: [{ key: 'Content-Security-Policy', value: workerPolicy }],
      },
    ]),
};

export default config;
