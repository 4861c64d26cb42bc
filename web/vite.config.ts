import tailwindcss from '@tailwindcss/vite'
import react from '@vitejs/plugin-react'
import { defineConfig } from 'vite'
import { VitePWA } from 'vite-plugin-pwa'
import { firstNeeds } from './firstNeeds.ts'

export default defineConfig({
  plugins: [
    react(),
    tailwindcss(),
    firstNeeds(),
    VitePWA({
      registerType: 'autoUpdate',
      injectRegister: false,
      manifest: {
        name: 'Harina',
        short_name: 'Harina',
        description: 'A workboard for pasta and noodle makers',
        background_color: '#F4EFE3',
        theme_color: '#F4EFE3',
        display: 'standalone',
        icons: [{ src: '/mark.svg', sizes: 'any', type: 'image/svg+xml', purpose: 'any' }],
      },
      workbox: {
        globPatterns: ['**/*.{js,css,html,svg,woff2,wasm,json}'],
        // The blend solver is the one large file; without it a maker offline would have no blends.
        maximumFileSizeToCacheInBytes: 5_000_000,
        navigateFallback: '/index.html',
        navigateFallbackDenylist: [/^\/workspace\//],
      },
    }),
  ],
  build: { target: 'es2022', sourcemap: false, modulePreload: { polyfill: false } },
})
