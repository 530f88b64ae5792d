import { DishGate } from '../../parts/DishGate.tsx'
import { HouseCold } from './ColdPage.tsx'

/** What of one dish is in the house. */
export default function DishColdPage() {
  return <DishGate>{({ id }) => <HouseCold serving={id} />}</DishGate>
}
