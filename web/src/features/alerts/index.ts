export { DishAlert } from './DishAlert.tsx'
