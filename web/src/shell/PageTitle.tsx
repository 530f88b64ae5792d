import { useLocation } from 'react-router'
import { useServingQuery } from '../api/api.ts'
import { useAnswer, useSheet } from '../engine/index.ts'
import { FLOATS } from './floats.ts'

const ROOMS: Readonly<Record<string, string>> = {
  '/': 'Today',
  '/dishes/new': 'A new dish',
  '/book': 'The book',
  '/book/compare': 'Fish compared',
  '/book/new': 'A new species',
  '/book/files': 'Species as files',
  '/book/swaps': 'Swap map',
  '/market': 'What is good today',
  '/market/prices': 'Prices',
  '/market/merchants': 'Merchants',
  '/market/standing': 'Standing of stocks',
  '/market/waters': 'Waters and seasons',
  '/market/stocks': 'Stocks',
  '/missing': 'A fish is missing',
  '/cover-card': 'Cover card',
  '/house': 'House',
  '/help': 'How to read it',
}
const DISH_ROOMS: Readonly<Record<string, string>> = { pot: 'A pot of several', decisions: 'Decisions', year: 'The year' }

/** What a page is called in the tab and to those who hear it: the room first, then the dish or the fish. */
export function PageTitle() {
  const { pathname } = useLocation()
  const [, first, id = '', room = ''] = pathname.split('/')
  const isDish = first === 'dishes' && id !== 'new'
  const { data: serving } = useServingQuery(id, { skip: !isDish })
  const dish = serving ? [serving.brief.dish] : []
  const species = (first === 'fish' || first === 'book') && id && ROOMS[`/book/${id}`] === undefined ? decodeURIComponent(id) : null
  const names = useAnswer(useSheet(undefined, { skip: species === null }), species, (desk) => desk.commonNames([species ?? '']))?.value
  const fish = species === null ? [] : [names?.[species] ?? species]
  const named = ROOMS[pathname.replace(/\/$/, '') || '/']
  const parts = isDish ? [FLOATS.find(({ slug }) => slug === room)?.label ?? DISH_ROOMS[room] ?? 'A dish', ...dish] : named ? [named] : fish
  return <title>{[...parts, 'Tender Gill'].join(' · ')}</title>
}
