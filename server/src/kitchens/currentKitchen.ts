import type { Request, RequestHandler, Response } from 'express'
import type { Kitchen } from '@tender-gill/contract'
import { DAY_MS } from '@tender-gill/core'
import { notFound } from '../http/errors.ts'
import type { KitchenRepository } from './kitchenRepository.ts'

export const KITCHEN_COOKIE = 'tender-gill-kitchen'

/**
 * Decides the current kitchen, in one place: the one in the signed cookie, else the first. Accounts can come here later without touching
 * a route.
 */
export const createCurrentKitchen =
  (repository: KitchenRepository): RequestHandler =>
  async (req, res, next) => {
    const asked: unknown = req.signedCookies[KITCHEN_COOKIE]
    const named = typeof asked === 'string' ? await repository.find(asked) : undefined
    const kitchen = named ?? (await repository.list())[0]
    if (!kitchen) throw notFound('No kitchen is set up')
    res.locals.kitchen = kitchen
    next()
  }

/** The kitchen of this request. */
export const kitchenOf = (res: Response): Kitchen => res.locals.kitchen as Kitchen

/** Walks into another kitchen: the signed cookie names it from now on. */
export async function switchKitchen(req: Request, res: Response, repository: KitchenRepository, id: string): Promise<Kitchen> {
  const kitchen = await repository.find(id)
  if (!kitchen) throw notFound(`No kitchen "${id}"`)
  res.cookie(KITCHEN_COOKIE, kitchen.id, { signed: true, httpOnly: true, sameSite: 'strict', secure: req.secure, maxAge: 365 * DAY_MS })
  return kitchen
}
