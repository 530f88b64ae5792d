import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import type { Express } from 'express'
import expressStaticGzip from 'express-static-gzip'

const NONCE = '__CSP_NONCE__'

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
  app.get('/mark.svg', (_req, res) => {
    res.sendFile(join(folder, 'mark.svg'))
  })
  app.get('/{*path}', (_req, res) => {
    res
      .set('Cache-Control', 'no-store')
      .type('html')
      .send(index.replaceAll(NONCE, String(res.locals.nonce)))
  })
}
