import { styled } from '@mui/material/styles'
import { useKitchenQuery, useKitchensQuery } from '../api/api.ts'
import { kitchenPath } from '../kitchen/index.ts'
import { INK } from '../theme.ts'

const Select = styled('select')({
  font: 'inherit',
  fontWeight: 700,
  color: INK.ice,
  background: INK.squid,
  border: 0,
  padding: '2px 4px',
  maxWidth: 220,
  minHeight: 28,
  textAlign: 'right',
  '@media (max-width: 600px)': { minHeight: 44, maxWidth: 150 },
})
const Place = styled('div')({ fontSize: 13, color: '#C7D4D7', paddingRight: 8 })

const formatDay = (iso: string) =>
  new Date(`${iso}T12:00:00Z`).toLocaleDateString('en-GB', { weekday: 'short', day: 'numeric', month: 'long', timeZone: 'UTC' })

/** Which kitchen one stands in, its waters and its day; walking into another starts at its own dishes. */
export function KitchenSwitch() {
  const { data: kitchens = [] } = useKitchensQuery()
  const { data: kitchen } = useKitchenQuery()
  if (!kitchen) return null
  // Another kitchen is another page: nothing of this one goes along.
  const choose = (id: string) => window.location.assign(`${kitchenPath(id)}/`)
  return (
    <div style={{ textAlign: 'right' }}>
      <Select aria-label="Kitchen" value={kitchen.id} onChange={(event) => choose(event.target.value)}>
        {kitchens.map(({ id, name }) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
      </Select>
      <Place className="place">{`${kitchen.waters}, ${formatDay(kitchen.today)}`}</Place>
    </div>
  )
}
