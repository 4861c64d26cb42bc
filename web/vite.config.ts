import tailwindcss from '@tailwindcss/vite'
import react from '@vitejs/plugin-react'
import { defineConfig } from 'vite'
import { compression, defineAlgorithm } from 'vite-plugin-compression2'
import { VitePWA } from 'vite-plugin-pwa'
import { fileURLToPath } from 'node:url'
import { constants } from 'node:zlib'
import { factTables } from './factTables.ts'
import { firstNeeds } from './firstNeeds.ts'

const source = (path: string) => fileURLToPath(new URL(`src/${path}`, import.meta.url))
const MAIN = source('app/main.tsx')
const STATION = source('stations/formula/FormulaStation.tsx')

/** Where the first workspace and the played instruments come from while the client is being written. */
const beside = process.env['HARINA_SERVER']

export default defineConfig({
  server: { proxy: beside ? { '/workspace': beside, '/instruments': beside } : {} },
  // Its usual entry is of an older language than the rest, a tenth longer and slower to start.
  resolve: { alias: { dexie: 'dexie/dist/modern/dexie.mjs' } },
  plugins: [
    react(),
    tailwindcss(),
    factTables(),
    firstNeeds(STATION),
    VitePWA({
      // A new version waits until the maker loads it: nothing changes under a running batch.
      registerType: 'prompt',
      injectRegister: false,
      manifest: {
        name: 'Harina',
        short_name: 'Harina',
        description: 'A workboard for pasta and noodle makers',
        background_color: '#F4EFE3',
        theme_color: '#F4EFE3',
        display: 'standalone',
        icons: [
          { src: '/mark.svg', sizes: 'any', type: 'image/svg+xml', purpose: 'any' },
          { src: '/icon-192.png', sizes: '192x192', type: 'image/png', purpose: 'any' },
          { src: '/icon-512.png', sizes: '512x512', type: 'image/png', purpose: 'any' },
          // All of the mark lies within the inner four fifths, whatever a launcher cuts off.
          { src: '/icon-512.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
        ],
      },
      workbox: {
        clientsClaim: true,
        globPatterns: ['**/*.{js,css,html,svg,woff2,json}'],
        // The blend solver is the one large file; without it a maker offline would have no blends.
        maximumFileSizeToCacheInBytes: 5_000_000,
        navigateFallback: '/index.html',
        navigateFallbackDenylist: [/^\/workspace\//],
      },
    }),
    // Once, at the build: the server only hands them out. A quality of 11 would take a minute for a hundredth less.
    compression({
      algorithms: [defineAlgorithm('brotliCompress', { params: { [constants.BROTLI_PARAM_QUALITY]: 9 } }), 'gzip'],
      include: /\.(js|css|json|svg|html)$/,
      threshold: 1000,
    }),
  ],
  build: {
    target: 'es2022',
    sourcemap: false,
    chunkSizeWarningLimit: 600,
    modulePreload: { polyfill: false },
    rolldownOptions: {
      // What the page begins with, and what the first station adds, are a file each with all they need: asked for one by one,
      // forty small files cost a slow processor more than their contents do. The rest is split as it is shared.
      output: {
        codeSplitting: {
          groups: [
            { name: 'start', test: (id) => id === MAIN, priority: 2 },
            { name: 'sheet', test: (id) => id === STATION, priority: 1 },
          ],
        },
      },
    },
  },
})
