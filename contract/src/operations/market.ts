import { command, question } from './operation.ts'
import { recordOperations } from './recordOperations.ts'
import { LAID_OVER } from './sheets.ts'

const keeps = { permission: 'market' } as const

/** A kind of record that goes out and comes in as CSV. */
const filed = <Path extends 'seasons' | 'stocks'>(
  path: Path,
  touches: Path extends 'seasons' ? readonly ['season'] : readonly ['stock'],
) => ({
  write: question({ method: 'GET', path: `/${path}-file`, summary: `The kitchen’s ${path} as CSV`, output: 'FileText', reads: touches }),
  bring: command({
    ...{ ...keeps, method: 'POST' as const, path: `/${path}-file` as const, file: true as const, study: true as const },
    ...{ summary: `Look at a CSV of ${path}, or keep it`, input: 'MarketFile' as const, output: 'MarketFileReport' as const, touches },
  }),
  undo: command({
    ...{ ...keeps, method: 'POST' as const, path: `/${path}-file/undo` as const, summary: `Take a file of ${path} back` },
    ...{ input: 'MarketFileUndo' as const, output: 'Changed' as const, touches },
  }),
})
const seasonsFile = filed('seasons', ['season'])
const stocksFile = filed('stocks', ['stock'])

/** Prices, merchants and their lists, years of waters, evidence on stocks, what is good today. */
export const market = {
  ...recordOperations('price', 'prices', {
    path: 'prices',
    what: 'price',
    entity: 'price',
    permission: 'market',
    input: 'PriceInput',
    record: 'PriceRecord',
  }),
  ...recordOperations('season', 'seasons', {
    path: 'seasons',
    what: 'year of a fish in one water',
    entity: 'season',
    permission: 'market',
    input: 'SeasonInput',
    record: 'SeasonRecord',
  }),
  ...recordOperations('stock', 'stocks', {
    path: 'stocks',
    what: 'evidence on a stock',
    entity: 'stock',
    permission: 'market',
    input: 'StockInput',
    record: 'StockRecord',
  }),
  ...recordOperations('merchant', 'merchants', {
    path: 'merchants',
    what: 'merchant',
    entity: 'merchant',
    permission: 'market',
    input: 'MerchantInput',
    record: 'MerchantRecord',
  }),
  ...recordOperations('purchase', 'purchases', {
    path: 'purchases',
    what: 'what was ordered and bought',
    entity: 'purchase',
    touches: ['purchase', 'entry'],
    permission: 'market',
    input: 'PurchaseInput',
    record: 'PurchaseRecord',
  }),
  ...recordOperations('restUse', 'restUses', {
    path: 'rest-uses',
    what: 'where a part of a fish goes beside the pan',
    entity: 'restUse',
    permission: 'plan',
    input: 'RestUseInput',
    record: 'RestUseRecord',
  }),
  ...recordOperations('rate', 'rates', {
    path: 'rates',
    what: 'rate of a currency',
    entity: 'rate',
    permission: 'market',
    input: 'RateInput',
    record: 'RateRecord',
  }),
  seasonsFile: seasonsFile.write,
  bringSeasonsFile: seasonsFile.bring,
  undoSeasonsFile: seasonsFile.undo,
  stocksFile: stocksFile.write,
  bringStocksFile: stocksFile.bring,
  undoStocksFile: stocksFile.undo,
  priceLists: question({
    method: 'GET',
    path: '/price-lists',
    summary: 'Merchants’ lists that count, the newest first',
    output: 'PriceList',
    many: true,
    reads: ['list', 'merchant'],
  }),
  priceList: question({
    method: 'GET',
    path: '/price-lists/{id}',
    summary: 'A list with its rows',
    output: 'PriceListDetail',
    reads: ['list'],
  }),
  bringList: command({
    ...keeps,
    method: 'POST',
    path: '/price-lists',
    summary: 'Look at a merchant’s list, or keep it',
    input: 'PriceListInput',
    output: 'PriceListReport',
    file: true,
    study: true,
    touches: ['list', 'merchant'],
  }),
  takeListBack: command({
    ...keeps,
    method: 'POST',
    path: '/price-lists/{id}/undo',
    summary: 'Take a list back',
    output: 'PriceList',
    touches: ['list'],
  }),
  putListBack: command({
    ...keeps,
    method: 'POST',
    path: '/price-lists/{id}/restore',
    summary: 'Put a list back',
    output: 'PriceList',
    touches: ['list'],
  }),
  settledNames: question({
    method: 'GET',
    path: '/settled-names',
    summary: 'What names on lists stand for here',
    output: 'SettledName',
    many: true,
    reads: ['list'],
  }),
  settleNames: command({
    ...keeps,
    method: 'POST',
    path: '/settled-names',
    summary: 'Settle names; lists on which they wait are read again',
    input: 'SettledNames',
    output: 'ReadAgain',
    touches: ['list'],
  }),
  slab: question({
    method: 'GET',
    path: '/slab',
    summary: 'What is good today, with the house’s dishes for it',
    query: { date: 'day' },
    output: 'Slab',
    study: true,
    reads: ['serving', 'merchant', ...LAID_OVER],
  }),
  priceHistory: question({
    method: 'GET',
    path: '/price-history/{name}',
    summary: 'The price of one fish over time',
    query: { date: 'day' },
    output: 'PriceHistory',
    study: true,
    reads: LAID_OVER,
  }),
  feeds: question({
    method: 'GET',
    path: '/feeds',
    summary: 'How the merchants’ feeds stand',
    output: 'FeedState',
    many: true,
    reads: ['feed', 'list'],
  }),
  readFeeds: command({
    ...keeps,
    method: 'POST',
    path: '/feeds/read',
    summary: 'Look at every feed now',
    output: 'FeedState',
    many: true,
    touches: ['feed', 'list'],
  }),
}
