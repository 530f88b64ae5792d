export { findYearOfDish, stepYearOfDish } from './yearOfDish.ts'
