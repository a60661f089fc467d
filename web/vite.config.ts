import react from '@vitejs/plugin-react'
import { defineConfig } from 'vite'
import { VitePWA } from 'vite-plugin-pwa'

export default defineConfig({
  plugins: [
    react(),
    // The round registers the worker itself: nobody else needs one.
    VitePWA({
      injectRegister: false,
      strategies: 'injectManifest',
      srcDir: 'src',
      filename: 'sw.ts',
      injectManifest: {
        globPatterns: ['**/*.{js,css,html,svg,woff2,wasm}'],
        maximumFileSizeToCacheInBytes: 8e6,
      },
      manifest: {
        name: 'Keeler',
        short_name: 'Keeler',
        start_url: '/treat',
        display: 'standalone',
        background_color: '#f1efe9',
        theme_color: '#1c6b5f',
        icons: [{ src: '/favicon.svg', sizes: 'any', type: 'image/svg+xml' }],
      },
    }),
  ],
  server: {
    fs: { allow: ['.', '../words/names'] },
    proxy: { '/api': 'http://127.0.0.1:8080', '/healthz': 'http://127.0.0.1:8080' },
  },
  build: { manifest: true },
})
