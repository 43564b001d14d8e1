import { readFileSync } from 'node:fs'
import { fileURLToPath, URL } from 'node:url'
import vue from '@vitejs/plugin-vue'
import laravel from 'laravel-vite-plugin'
import { VitePWA } from 'vite-plugin-pwa'
import vuetify from 'vite-plugin-vuetify'
import { defineConfig } from 'vitest/config'
import { guide } from './vite.guide.ts'
import { words } from './vite.words.ts'

/**
 * The service worker keeps the whole client on the device, so that it starts without a signal. The page itself comes
 * from the server, which names the assets of this build; the newest one seen stands in where the server is away.
 */
const serviceWorker = VitePWA({
  outDir: 'public',
  filename: 'sw.js',
  manifest: false,
  injectRegister: false,
  workbox: {
    globDirectory: 'public/build',
    globPatterns: ['assets/*.{js,css,woff2}'],
    modifyURLPrefix: { '': '/build/' },
    // Asset names carry a digest already.
    dontCacheBustURLsMatching: /assets\//,
    maximumFileSizeToCacheInBytes: 3_000_000,
    navigateFallback: null,
    inlineWorkboxRuntime: true,
    cleanupOutdatedCaches: true,
    skipWaiting: true,
    clientsClaim: true,
    runtimeCaching: [
      {
        urlPattern: ({ request, url }) => request.mode === 'navigate' && !/^\/(api|openapi)/.test(url.pathname),
        handler: 'NetworkFirst',
        options: {
          cacheName: 'page',
          networkTimeoutSeconds: 4,
          // One page serves every address.
          plugins: [{ cacheKeyWillBeUsed: () => Promise.resolve('/') }],
        },
      },
      {
        urlPattern: ({ url }) => /^\/api\/photos\/[^/]+\/thumbnail$/.test(url.pathname),
        handler: 'CacheFirst',
        options: { cacheName: 'thumbnails', expiration: { maxEntries: 300 } },
      },
      {
        // What was opened opens without a signal too.
        urlPattern: ({ url }) => /^\/api\/manuals\/[^/]+\/file$/.test(url.pathname),
        handler: 'CacheFirst',
        options: { cacheName: 'manuals', expiration: { maxEntries: 12 }, cacheableResponse: { statuses: [200] } },
      },
    ],
  },
})

export default defineConfig({
  define: { __VERSION__: JSON.stringify(readFileSync('VERSION', 'utf8').trim()) },
  // Laravel's plugin is for building; it refuses to start where CI is set, and tests need nothing of it.
  plugins: [
    !process.env.VITEST && [laravel({ input: 'resources/js/main.ts', refresh: false }), serviceWorker],
    words(),
    guide(),
    vue(),
    vuetify(),
  ],
  resolve: { alias: { '@': fileURLToPath(new URL('./resources/js', import.meta.url)) } },
  build: {
    rolldownOptions: {
      // What many screens share comes in one piece: on a slow line each further request costs more than its bytes.
      output: {
        codeSplitting: {
          groups: [
            { name: 'shared', test: /rolldown.runtime/, priority: 1 },
            { name: 'shared', minShareCount: 30 },
          ],
        },
      },
    },
  },
  test: {
    include: ['resources/js/**/*.test.ts'],
    environment: 'happy-dom',
    // Against hanging only: a busy machine is slow, not wrong.
    testTimeout: 120_000,
    hookTimeout: 120_000,
    setupFiles: ['resources/js/testing.setup.ts'],
    // One context a file in threads that stay: the toolkit is read once, not thirty times.
    pool: 'vmThreads',
    maxWorkers: '100%',
    environmentOptions: { happyDOM: { url: 'http://localhost/' } },
    server: { deps: { inline: ['vuetify'] } },
  },
})
