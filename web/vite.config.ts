import react from '@vitejs/plugin-react'
import { defineConfig } from 'vite'

export default defineConfig({
  plugins: [react()],
  html: { cspNonce: '__CSP_NONCE__' },
  build: {
    ...{ assetsInlineLimit: 0, modulePreload: { polyfill: false }, target: 'es2022' },
    chunkSizeWarningLimit: 800,
    // What every first page needs comes as one file: packed together it is an eighth smaller than in sixty pieces. What several pages share
    // comes in two more: thirty pieces cost a page more than the little of them that it does not use.
    rolldownOptions: {
      output: {
        codeSplitting: {
          groups: [
            { name: 'ground', tags: ['$initial'], priority: 3 },
            {
              name: 'controls',
              test: /node_modules\/(@mui\/(material|system|utils)|@popperjs|react-transition-group)\//,
              minShareCount: 2,
              priority: 2,
            },
            { name: 'parts', test: /\/web\/src\/(?!features)|\/(core|contract|words|names)\/src\//, minShareCount: 2, priority: 1 },
          ],
        },
      },
    },
  },
  worker: { format: 'es' },
  server: { proxy: { '/api': `http://127.0.0.1:${process.env.API_PORT ?? '8090'}` } },
})
