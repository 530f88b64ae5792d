import Button from '@mui/material/Button'
import { styled } from '@mui/material/styles'
import { useKitchenQuery } from '../api/api.ts'
import { INK } from '../theme.ts'
import { PlacesButton } from './PlacesButton.tsx'

const Place = styled('div')({ fontSize: 13, color: '#C7D4D7', paddingRight: 8 })

const formatDay = (iso: string) =>
  new Date(`${iso}T12:00:00Z`).toLocaleDateString('en-GB', { weekday: 'short', day: 'numeric', month: 'long', timeZone: 'UTC' })

/** Which kitchen one stands in, its waters and its day; walking into another starts at its own dishes. */
export function KitchenSwitch() {
  const { data: kitchen } = useKitchenQuery()
  if (!kitchen) return null
  return (
    <div style={{ textAlign: 'right' }}>
      <PlacesButton menu="Kitchens" name={`Kitchen: ${kitchen.name}`}>
        {(props) => (
          <Button {...props} size="small" sx={{ color: INK.ice, fontSize: '0.9375rem', minHeight: 32, py: 0, maxWidth: 240 }}>
            {kitchen.name}
            <span aria-hidden style={{ marginLeft: 8, fontSize: 11 }}>
              ▼
            </span>
          </Button>
        )}
      </PlacesButton>
      <Place className="place">{`${kitchen.waters}, ${formatDay(kitchen.today)}`}</Place>
    </div>
  )
}
