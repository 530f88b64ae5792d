import Box from '@mui/material/Box'
import type { LessonSubject } from '@tender-gill/core'
import { Link } from 'react-router'
import { useKitchenQuery, useLessonsQuery } from '../api/api.ts'
import { useAnswer, useSheet } from '../engine/index.ts'
import { INK } from '../theme.ts'
import { describeLesson } from './entryWords.ts'

/** What this house wrote about what the page speaks of: the newest and most telling first, in one line, with the way to the rest. */
export function Lessons({ label = 'What this house wrote', dish, species, merchant }: LessonSubject & { readonly label?: string }) {
  const asked = {
    ...(dish !== undefined && { dish }),
    ...(species !== undefined && { species }),
    ...(merchant !== undefined && { merchant }),
  }
  const { data: kitchen } = useKitchenQuery()
  const { data = [] } = useLessonsQuery(asked)
  const named = [
    ...new Set(data.flatMap(({ entry }) => [entry.species ?? '', ...(entry.kind === 'swapped' ? [entry.missing, entry.standIn] : [])])),
  ].filter(Boolean)
  const names = useAnswer(useSheet(), named.join(',') || null, (desk) => desk.commonNames(named))?.value
  const [first, ...rest] = data
  if (!first || !kitchen || !names) return null
  return (
    <Box
      component="section"
      aria-label={label}
      sx={{
        borderLeft: `4px solid ${INK.roe}`,
        bgcolor: INK.ice,
        px: 1.5,
        py: 0.75,
        mb: 1,
        display: 'flex',
        gap: 1.5,
        alignItems: 'baseline',
        flexWrap: 'wrap',
        displayPrint: 'none',
      }}
    >
      <span>{describeLesson(first.entry, (one) => names[one] ?? one, kitchen.today)}</span>
      <Link to={`/house-book/entries?${new URLSearchParams(asked).toString()}`}>
        {rest.length > 0 ? `${rest.length} more and the rest of the book` : 'In the house book'}
      </Link>
    </Box>
  )
}
