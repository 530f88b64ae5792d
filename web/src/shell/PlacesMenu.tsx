import Divider from '@mui/material/Divider'
import Menu from '@mui/material/Menu'
import MenuItem from '@mui/material/MenuItem'
import { Link } from 'react-router'
import { useKitchenQuery, useKitchensQuery } from '../api/api.ts'
import { kitchenPath } from '../kitchen/index.ts'

interface Props {
  readonly label: string
  readonly anchor: HTMLElement | null
  /** Rooms of this kitchen that stand before the kitchens. */
  readonly rooms?: readonly (readonly [to: string, label: string])[]
  readonly onClose: () => void
}

/** Rooms and kitchens one can walk into. */
export default function PlacesMenu({ label, anchor, rooms = [], onClose }: Props) {
  const { data: kitchens = [] } = useKitchensQuery()
  const { data: kitchen } = useKitchenQuery()
  return (
    <Menu anchorEl={anchor} open={anchor !== null} onClose={onClose} slotProps={{ list: { 'aria-label': label } }}>
      {rooms.map(([to, name]) => (
        <MenuItem key={to} component={Link} to={to} onClick={onClose} sx={{ minHeight: 48 }}>
          {name}
        </MenuItem>
      ))}
      {rooms.length > 0 && <Divider />}
      {kitchens.map(({ id, name }) => (
        <MenuItem
          key={id}
          selected={id === kitchen?.id}
          sx={{ minHeight: 48 }}
          // Another kitchen is another page: nothing of this one goes along.
          onClick={() => (id === kitchen?.id ? onClose() : window.location.assign(`${kitchenPath(id)}/`))}
        >
          {name}
        </MenuItem>
      ))}
    </Menu>
  )
}
