import react from '@vitejs/plugin-react'
import { defineConfig } from 'vite'

export default defineConfig({
  plugins: [react()],
  html: { cspNonce: '__CSP_NONCE__' },
  build: {
    ...{ assetsInlineLimit: 0, modulePreload: { polyfill: false }, target: 'es2022' },
    chunkSizeWarningLimit: 800,
    // What every first page needs comes as one file: packed together it is an eighth smaller than in sixty pieces.
    rolldownOptions: { output: { codeSplitting: { groups: [{ name: 'ground', tags: ['$initial'] }] } } },
  },
  worker: { format: 'es' },
  server: { proxy: { '/api': `http://127.0.0.1:${process.env.API_PORT ?? '8090'}` } },
})
