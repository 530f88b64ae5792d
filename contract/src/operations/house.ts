import { command, question } from './operation.ts'

/** Kitchens, and how a house leans. */
export const house = {
  kitchens: question({
    method: 'GET',
    path: '/kitchens',
    scope: 'everyone',
    summary: 'The kitchens kept here',
    output: 'Kitchen',
    many: true,
    reads: ['kitchen'],
  }),
  kitchen: question({ method: 'GET', path: '', summary: 'One kitchen, and which day it is there', output: 'Kitchen', reads: ['kitchen'] }),
  leanings: question({ method: 'GET', path: '/leanings', summary: 'How the house leans', output: 'LeaningsRecord', reads: ['leanings'] }),
  saveLeanings: command({
    method: 'PUT',
    path: '/leanings',
    summary: 'Set how the house leans',
    permission: 'house',
    input: 'LeaningsInput',
    output: 'LeaningsRecord',
    answers: { one: 'leanings' },
    ifMatch: true,
    touches: ['leanings'],
  }),
  phones: question({
    method: 'GET',
    path: '/phones',
    summary: 'Whether phones on the local network may come in, and which do',
    output: 'Phones',
    reads: ['phone'],
  }),
  createPairingCode: command({
    method: 'POST',
    path: '/phones/codes',
    summary: 'A code with which one phone comes in',
    permission: 'house',
    output: 'PairingCode',
    touches: ['phone'],
  }),
  revokePhone: command({
    method: 'DELETE',
    path: '/phones/{id}',
    summary: 'Shut a phone out',
    permission: 'house',
    output: 'Phones',
    touches: ['phone'],
  }),
  health: question({
    method: 'GET',
    path: '/health',
    scope: 'everyone',
    summary: 'Whether application and database answer',
    output: 'Health',
  }),
}
