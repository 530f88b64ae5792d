export { listHandTasks, type HandWork } from './listHandTasks.ts'
