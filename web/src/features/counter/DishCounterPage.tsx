import { DishGate } from '../../parts/DishGate.tsx'
import { LookAt } from './LookPage.tsx'

/** The fish of one dish at the counter: the line of the buy sheet that feeds it. */
export default function DishCounterPage() {
  return <DishGate>{({ id, brief }) => <LookAt serving={id} {...(brief.date === undefined ? {} : { day: brief.date })} />}</DishGate>
}
