export { CHANGES_CHANNEL, commitChange, purgeCommands, type ChangeOrder, type Told, type Touch } from './commitChange.ts'
