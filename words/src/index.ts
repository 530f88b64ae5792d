export { createWords, tell, type Told, type Words } from './createWords.ts'
export { termsOf } from './languages.ts'
export { DEFAULT_READER, LANGUAGES, nameReader, readReader, type Language, type Reader } from './reader.ts'
export { fill, nameDay, nameMonth, type Terms } from './terms.ts'
