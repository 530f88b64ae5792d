export { createOutboxKeeper, readOutbox } from './outboxKeeper.ts'
export { OutboxNotice } from './OutboxNotice.tsx'
export { arrivalsReducer, commandGiven, commandSettled, outboxReducer, type Given, type Outbox, type OutboxCommand } from './outboxSlice.ts'
export { useGive, useUnread, useWaiting } from './useOutbox.ts'
