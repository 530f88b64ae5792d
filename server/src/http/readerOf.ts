import type { Request } from 'express'
import { readReader, type Reader } from '@tender-gill/words'

/** How the one who asks reads, from the header `Reader`, as `en,us,code`; English, metric and with signs of money where it says nothing. */
export const readerOf = (req: Pick<Request, 'get'>): Reader => readReader(req.get('Reader'))
