export { describeFailure } from './failures.ts'
export { Notices } from './Notices.tsx'
export { heard, noticesReducer, said, type Notice } from './noticesSlice.ts'
export { findOffered, useUndoable } from './useUndoable.ts'
