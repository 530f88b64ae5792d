import MenuItem from '@mui/material/MenuItem'
import Select from '@mui/material/Select'
import { styled } from '@mui/material/styles'
import { useKitchenQuery, useKitchensQuery } from '../api/api.ts'
import { kitchenPath } from '../kitchen/index.ts'
import { INK } from '../theme.ts'

const Place = styled('div')({ fontSize: 13, color: '#C7D4D7', paddingRight: 8 })

const formatDay = (iso: string) =>
  new Date(`${iso}T12:00:00Z`).toLocaleDateString('en-GB', { weekday: 'short', day: 'numeric', month: 'long', timeZone: 'UTC' })

/** Which kitchen one stands in, its waters and its day; walking into another starts at its own dishes. */
export function KitchenSwitch() {
  const { data } = useKitchensQuery()
  const { data: kitchen } = useKitchenQuery()
  if (!kitchen) return null
  const kitchens = data ?? [kitchen]
  // Another kitchen is another page: nothing of this one goes along.
  const choose = (id: string) => window.location.assign(`${kitchenPath(id)}/`)
  return (
    <div style={{ textAlign: 'right' }}>
      <Select
        variant="standard"
        disableUnderline
        value={kitchen.id}
        onChange={({ target }) => choose(target.value)}
        SelectDisplayProps={{ 'aria-label': 'Kitchen' }}
        sx={{ color: INK.ice, fontWeight: 700, maxWidth: 220, '& .MuiSelect-icon': { color: INK.ice } }}
      >
        {kitchens.map(({ id, name }) => (
          <MenuItem key={id} value={id}>
            {name}
          </MenuItem>
        ))}
      </Select>
      <Place className="place">{`${kitchen.waters}, ${formatDay(kitchen.today)}`}</Place>
    </div>
  )
}
