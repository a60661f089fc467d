import { defineConfig } from 'vite'

// Not part of the application: e2e loads it to hold the pure functions in a browser.
export default defineConfig({
  publicDir: false,
  build: {
    outDir: 'pure',
    // What is not asked for by name is not in it.
    rolldownOptions: { treeshake: { moduleSideEffects: false } },
    lib: { entry: 'src/pure.ts', formats: ['iife'], name: 'pure', fileName: () => 'pure.js' },
  },
})
