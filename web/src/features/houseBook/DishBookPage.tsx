import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { Link } from 'react-router'
import { useEntriesQuery, useKitchenQuery } from '../../api/api.ts'
import { DishGate } from '../../parts/DishGate.tsx'
import { Waiting } from '../../parts/Waiting.tsx'
import type { Dish } from '../../state/useDish.ts'
import { ServedDishes } from './AfterServicePage.tsx'
import { EntryList } from './EntryList.tsx'

const SHOWN = 12

function DishBook({ dish }: { readonly dish: Dish }) {
  const { data: kitchen } = useKitchenQuery()
  const { data } = useEntriesQuery({ dish: dish.brief.dish })
  if (!kitchen) return <Waiting what="the house book" />
  const day = dish.brief.date
  return (
    <Box
      sx={{
        display: 'grid',
        gap: 2,
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1fr) minmax(0, 1fr)' },
        alignItems: 'start',
      }}
    >
      <Box>
        {day === undefined ? (
          <Typography>It has no day yet. Once it was served, what it was like is written down here.</Typography>
        ) : (
          <ServedDishes day={day} servingId={dish.id} />
        )}
      </Box>
      <section aria-label="What this house wrote about this dish">
        <Typography variant="h2" component="h1" gutterBottom>
          This dish so far
        </Typography>
        {data && <EntryList lines={data.lines.slice(0, SHOWN)} />}
        {data && data.total > SHOWN && (
          <Button component={Link} to={`/house-book/entries?dish=${encodeURIComponent(dish.brief.dish)}`}>
            All {data.total} entries
          </Button>
        )}
      </section>
    </Box>
  )
}

/** What one dish was like, this time and before. */
export default function DishBookPage() {
  return <DishGate>{(dish) => <DishBook key={dish.id} dish={dish} />}</DishGate>
}
