export { findDeadline, planOrder, type LocalMoment } from './planOrder.ts'
