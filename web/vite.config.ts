import tailwindcss from '@tailwindcss/vite'
import react from '@vitejs/plugin-react'
import { defineConfig } from 'vite'
import { VitePWA } from 'vite-plugin-pwa'
import { inFirstLoad, inWords } from './firstLoad'
import { packed } from './packed'

export default defineConfig({
  plugins: [
    react(),
    tailwindcss(),
    VitePWA({
      strategies: 'injectManifest',
      srcDir: 'src',
      filename: 'sw.ts',
      injectRegister: false,
      injectManifest: { globPatterns: ['**/*.{js,css,woff2,svg,png}'] },
      manifest: {
        name: 'Plush Ladle',
        short_name: 'Plush Ladle',
        description: 'Flavoured drinks and creamers from homemade plant milk',
        start_url: '/',
        display: 'standalone',
        background_color: '#e9ece5',
        theme_color: '#24408e',
        icons: [
          { src: '/ladle-192.png', sizes: '192x192', type: 'image/png' },
          { src: '/ladle-512.png', sizes: '512x512', type: 'image/png', purpose: 'any maskable' },
        ],
      },
    }),
    packed(),
  ],
  build: {
    assetsInlineLimit: 0,
    chunkSizeWarningLimit: 700,
    rolldownOptions: {
      output: {
        codeSplitting: {
          groups: [
            { name: 'said', test: inWords, priority: 1 },
            { debugName: 'first', name: inFirstLoad },
          ],
        },
      },
    },
  },
  server: { proxy: { '/api': 'http://127.0.0.1:8642' } },
})
