import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import type { ReactNode } from 'react'
import { Link } from 'react-router'

interface Props {
  readonly label: string
  readonly rooms: readonly (readonly [path: string, name: string])[]
  readonly here: string
  readonly children?: ReactNode
}

/** The rooms of one subject: the one one stands in as the head of the page, the others to walk to. */
export function Rooms({ label, rooms, here, children }: Props) {
  return (
    <Box
      component="nav"
      aria-label={label}
      sx={{
        ...{
          display: 'flex',
          flexWrap: { xs: 'nowrap', md: 'wrap' },
          overflowX: { xs: 'auto', md: 'visible' },
          alignItems: 'center',
          gap: 1,
        },
        ...{ mb: 1.5, '& > *': { flexShrink: 0 }, '@media print': { '& a': { display: 'none' } } },
      }}
    >
      <Typography variant="h1" sx={{ mr: 1 }}>
        {rooms.find(([path]) => path === here)?.[1]}
      </Typography>
      {rooms
        .filter(([path]) => path !== here)
        .map(([path, name]) => (
          <Button key={path} component={Link} to={path}>
            {name}
          </Button>
        ))}
      {children}
    </Box>
  )
}
