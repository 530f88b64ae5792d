import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import type { Express } from 'express'
import expressStaticGzip from 'express-static-gzip'
import { nameApi } from './apiName.ts'

const NONCE = '__CSP_NONCE__'
const API = '__API_NAME__'
/** Files beside the pages that keep their names: asked for anew each time, so that an update is met at once. */
const NAMED_FILES = {
  '/mark.svg': 'image/svg+xml',
  '/manifest.webmanifest': 'application/manifest+json',
  '/service-worker.js': 'text/javascript',
} as const

/** Serves the built pages: hashed assets for a year, pre-compressed; every other path is the application with a fresh nonce. */
export function mountWeb(app: Express, folder: string): void {
  const index = readFileSync(join(folder, 'index.html'), 'utf8')
  app.use(
    '/assets',
    expressStaticGzip(join(folder, 'assets'), {
      enableBrotli: true,
      orderPreference: ['br', 'gz'],
      index: false,
      serveStatic: { immutable: true, maxAge: '1y' },
    }),
  )
  app.use('/assets', (_req, res) => {
    res.status(404).type('text').send('no such file')
  })
  for (const [path, type] of Object.entries(NAMED_FILES))
    app.get(path, (_req, res) => {
      res.set('Cache-Control', 'no-cache').type(type).sendFile(join(folder, path))
    })
  app.get('/{*path}', (_req, res) => {
    res
      .set('Cache-Control', 'no-store')
      .type('html')
      .send(index.replaceAll(NONCE, String(res.locals.nonce)).replaceAll(API, nameApi()))
  })
}
