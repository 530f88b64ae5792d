export { createChangeStream, openChangeFeed, type ChangeFeed, type KeptChange } from './changeStream.ts'
