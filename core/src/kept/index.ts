export { findLeader, isServedIn, type KeptDish, type KeptDishes } from './keptDishes.ts'
