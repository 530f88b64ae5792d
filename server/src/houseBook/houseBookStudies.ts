import type { HouseBookFile } from '@tender-gill/contract'
import type { Study } from '../compute/study.ts'
import { afterService } from './afterService.ts'
import { houseLearnt } from './houseLearnt.ts'
import { lookBack } from './lookBackStudy.ts'
import { readEntryFile as readFile, type ReadEntryFile } from './readEntryFile.ts'

/** Entries of a file, looked through against the book of fish and what is written already. */
const readEntryFile: Study<HouseBookFile, ReadEntryFile> = async (desk, kitchen, file) => {
  const [{ book }, { lines }] = await Promise.all([desk.openSheets(kitchen), desk.readHouseBook(kitchen.id)])
  return readFile(file, book, lines)
}

/** What is worked out of the whole house book. */
export const houseBookStudies = { readEntryFile, afterService, houseLearnt, lookBack }
