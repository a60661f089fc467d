import { defineConfig } from 'vite'

// Not part of the application: e2e loads it to hold the pure functions in a browser.
export default defineConfig({
  publicDir: false,
  // What a library asks of its surroundings, a page does not have.
  define: { 'process.env.NODE_ENV': '"production"' },
  build: {
    outDir: 'pure',
    lib: { entry: 'src/pure.ts', formats: ['iife'], name: 'pure', fileName: () => 'pure.js' },
  },
})
