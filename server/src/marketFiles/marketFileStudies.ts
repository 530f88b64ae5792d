import type { Problem, Season, Stock } from '@tender-gill/contract'
import { parseSeasonInput, parseStockInput } from '@tender-gill/contract/validators'
import type { Study } from '../compute/study.ts'
import { createCheckSeason, createCheckStock } from '../records/checks.ts'
import { seasonFile, stockFile } from './fileKinds.ts'
import { readMarketFile, type ReadMarketFile } from './readMarketFile.ts'

type Read<T> = Study<{ readonly text: string }, ReadMarketFile<T>>

const readSeasons: Read<Season> = async (desk, kitchen, { text }) => {
  const check = createCheckSeason(desk.books)
  return readMarketFile(text, {
    ...seasonFile,
    check: async (season): Promise<readonly Problem[]> => {
      const parsed = parseSeasonInput({ season })
      return parsed.ok ? check(parsed.value, kitchen.id) : parsed.error
    },
  })
}

const readStocks: Read<Stock> = async (desk, kitchen, { text }) => {
  const check = createCheckStock(desk.books)
  return readMarketFile(text, {
    ...stockFile,
    check: async (stock): Promise<readonly Problem[]> => {
      const parsed = parseStockInput({ stock })
      return parsed.ok ? check(parsed.value, kitchen.id) : parsed.error
    },
  })
}

export const marketFileStudies = { readSeasons, readStocks }
