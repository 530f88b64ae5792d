export { isOver, listComing, pickPerDish, type DatedServing } from './servings.ts'
export { findLeader, isOffered, isServedIn, listTaken, replaceTaken, type KeptDish, type KeptDishes } from './keptDishes.ts'
