import { useSeasonsQuery } from '../../api/api.ts'
import { WATERS_APART } from './briefForm.ts'
import { Choice } from './fields.tsx'

/** Which of the kitchen's waters a dish buys from: their years are counted then. */
export function WatersChoice() {
  const { data: seasons = [] } = useSeasonsQuery()
  const waters = [...new Set(seasons.map(({ season }) => season.water))].sort()
  const all = waters.join(WATERS_APART)
  return (
    <Choice
      name="waters"
      label="Season of"
      hint="The year kept under Market"
      options={[
        ['', 'not counted'],
        ...waters.map((water) => [water, water] as const),
        ...(waters.length > 1 ? [[all, 'all our waters'] as const] : []),
      ]}
    />
  )
}
