export { planOrder, type LocalMoment } from './planOrder.ts'
