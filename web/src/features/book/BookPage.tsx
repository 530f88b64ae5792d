import Alert from '@mui/material/Alert'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Paper from '@mui/material/Paper'
import ToggleButton from '@mui/material/ToggleButton'
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup'
import Typography from '@mui/material/Typography'
import { useCallback, useMemo, useState } from 'react'
import { Link } from 'react-router'
import { useAnswer, useSheet } from '../../engine/index.ts'
import { Waiting } from '../../parts/Waiting.tsx'
import { useSearch } from '../../state/useSearch.ts'
import { BookLine } from './BookLine.tsx'
import { SORTS, filterBook, layFits, readFilter, sortBook } from './bookFilter.ts'
import { MOST_COMPARED, comparePath } from '../../parts/bookWords.ts'
import { OneOf } from '../../parts/OneOf.tsx'
import { FilterPanel } from './FilterPanel.tsx'
import { BookGrid } from './BookGrid.tsx'
import { NameAlone, NameLookup } from './NameLookup.tsx'

const SHOWN_AT_FIRST = 30

/** The species book: every fish, found by the kind of flesh one looks for. */
export default function BookPage() {
  const [search, change] = useSearch()
  const sheet = useSheet()
  const book = useAnswer(sheet, sheet ? `book|${sheet.name}` : null, (desk) => desk.book())
  const name = search.get('name')
  const looked = useAnswer(sheet, name, async (desk) => {
    const [shared, hits] = await Promise.all([desk.sharedName(name ?? ''), desk.search(name ?? '')])
    return { shared, hits }
  })
  const [marked, setMarked] = useState<readonly string[]>([])
  const [all, setAll] = useState(false)
  const asTable = search.get('as') === 'table'
  const filter = useMemo(() => readFilter(search), [search])
  // What each is good for takes longer than the book itself, which stands without it meanwhile.
  const plain = book?.value
  const fits = useAnswer(sheet, plain && sheet ? `fits|${sheet.name}` : null, (desk) => desk.methodFits())?.value
  const rows = useMemo(() => {
    if (!plain || (filter.method && !fits)) return undefined
    return fits ? layFits(plain, fits) : plain
  }, [plain, fits, filter.method])
  const found = useMemo(() => (rows ? sortBook(filterBook(rows, filter), filter) : []), [rows, filter])
  const set = (key: string, edit: string | null | ((now: string | null) => string | null)) =>
    change((params) => {
      const value = typeof edit === 'function' ? edit(params.get(key)) : edit
      if (value === null) params.delete(key)
      else params.set(key, value)
    })
  const mark = useCallback(
    (species: string) =>
      setMarked((before) =>
        before.includes(species) ? before.filter((one) => one !== species) : [...before, species].slice(-MOST_COMPARED),
      ),
    [],
  )
  if (!rows) return <Waiting what="the book" shape="rows" />
  return (
    <Box
      sx={{
        display: 'grid',
        gap: 1.5,
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: '268px minmax(0, 1fr)' },
        alignItems: 'start',
        mt: 1,
      }}
    >
      <FilterPanel
        rows={rows}
        filter={filter}
        onSet={set}
        onClear={() => change((params) => [...params.keys()].forEach((key) => params.delete(key)))}
      />
      <div>
        {name && looked?.key === name && looked.value.shared && <NameLookup shared={looked.value.shared} rows={rows} />}
        {name && looked?.key === name && !looked.value.shared && <NameAlone name={name} hits={looked.value.hits} />}
        <Paper component="section" aria-label="Fish of the book" sx={{ p: 2 }}>
          <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center', flexWrap: 'wrap', mb: 1 }}>
            <Typography variant="h1" aria-live="polite">
              {found.length === rows.length ? `${rows.length} fish` : `${found.length} of ${rows.length} fish`}
            </Typography>
            <OneOf
              label="Sorted by"
              value={filter.sort}
              options={SORTS.map(([key, words]) => [key, key === 'name' && filter.method ? 'fit' : words])}
              onChange={(sort) => set('sort', sort)}
              sx={{ minWidth: 150 }}
            />
            <ToggleButtonGroup
              exclusive
              size="small"
              aria-label="Shown as"
              value={asTable ? 'table' : 'lines'}
              onChange={(_event, as: string | null) => as && set('as', as === 'table' ? as : null)}
            >
              <ToggleButton value="lines" sx={{ textTransform: 'none', minHeight: 40 }}>
                Lines
              </ToggleButton>
              <ToggleButton value="table" sx={{ textTransform: 'none', minHeight: 40 }}>
                Table
              </ToggleButton>
            </ToggleButtonGroup>
            <Box sx={{ ml: 'auto', display: 'flex', gap: 1, flexWrap: 'wrap' }}>
              {marked.length > 1 && (
                <Button variant="contained" component={Link} to={comparePath(marked)}>
                  Compare marked ({marked.length})
                </Button>
              )}
              <Button component={Link} to={`/book/swaps${filter.method ? `?method=${filter.method}` : ''}`}>
                Swap map
              </Button>
              <Button component={Link} to="/book/new">
                Add a species
              </Button>
              <Button component={Link} to="/book/files">
                Files in and out
              </Button>
            </Box>
          </Box>
          {found.length === 0 && <Alert severity="info">No fish of the book is all of that. Take one choice away.</Alert>}
          {!asTable && found.length > 0 && (
            <Typography variant="body2" color="text.secondary" aria-hidden sx={{ textAlign: 'right' }}>
              compare
            </Typography>
          )}
          {asTable && found.length > 0 && <BookGrid rows={found} method={filter.method} />}
          <Box component="ul" aria-label="Fish found" hidden={asTable} sx={{ listStyle: 'none', p: 0, m: 0 }}>
            {(asTable ? [] : all ? found : found.slice(0, SHOWN_AT_FIRST)).map((row) => (
              <BookLine key={row.species} row={row} method={filter.method} marked={marked.includes(row.species)} onMark={mark} />
            ))}
          </Box>
          {!asTable && found.length > SHOWN_AT_FIRST && (
            <Button onClick={() => setAll(!all)}>{all ? `Show the first ${SHOWN_AT_FIRST}` : `Show all ${found.length}`}</Button>
          )}
        </Paper>
      </div>
    </Box>
  )
}
