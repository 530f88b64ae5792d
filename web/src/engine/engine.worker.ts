import { expose } from 'comlink'
import { createEngine } from './createEngine.ts'
import { createSheetShelf, EMPTY_SHELF } from './sheetShelf.ts'

expose(createEngine('indexedDB' in globalThis ? createSheetShelf() : EMPTY_SHELF))
