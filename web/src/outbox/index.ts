export { createOutboxKeeper, readOutbox } from './outboxKeeper.ts'
export { OutboxNotice } from './OutboxNotice.tsx'
export { commandGiven, commandSettled, outboxReducer, type Given, type Outbox, type OutboxCommand } from './outboxSlice.ts'
export { useGive, useWaiting } from './useOutbox.ts'
