import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import Typography from '@mui/material/Typography'
import { useEntriesQuery, useKitchenQuery, useMerchantsQuery, useServingsQuery } from '../../api/api.ts'
import { useAnswer, useSheet } from '../../engine/index.ts'
import { OneOf } from '../../parts/OneOf.tsx'
import { Waiting } from '../../parts/Waiting.tsx'
import { useSearch } from '../../state/useSearch.ts'
import { LessonForm } from './LessonForm.tsx'
import { EntryList } from './EntryList.tsx'
import { HouseBookRooms } from '../../parts/HouseBookRooms.tsx'

const PAGE = 50
const KINDS = [
  ['', 'of every kind'],
  ['served,cooked,came-back', 'how it was'],
  ['lesson', 'lessons'],
  ['swapped', 'swaps'],
  ['bought', 'what was bought'],
  ['looked', 'what was looked at'],
  ['kept', 'where it went'],
  ['weighed', 'what was weighed'],
] as const
const OUTCOMES = [
  ['', 'however it went'],
  ['good', 'went well'],
  ['bad', 'went wrong'],
  ['set-aside', 'set aside'],
] as const
const SEASONS = [
  ['', 'all year'],
  ['12,1,2', 'in winter'],
  ['3,4,5', 'in spring'],
  ['6,7,8', 'in summer'],
  ['9,10,11', 'in autumn'],
] as const
type Outcome = 'good' | 'bad' | 'set-aside'
const NAMES = ['text', 'kinds', 'outcome', 'months', 'species', 'offerId', 'dish', 'merchant', 'after'] as const

/** Everything that was ever written, searched by fish, dish, merchant, outcome and season. */
export default function EntriesPage() {
  const [search, change] = useSearch()
  const at = (name: (typeof NAMES)[number]) => search.get(name) ?? ''
  const put = (name: (typeof NAMES)[number]) => (value: string) =>
    change((params) => {
      if (value === '') params.delete(name)
      else params.set(name, value)
      if (name !== 'after') params.delete('after')
    })
  const asked = Object.fromEntries(NAMES.flatMap((name) => (at(name) === '' ? [] : [[name, at(name)]])))
  const { data, isFetching } = useEntriesQuery(asked as { outcome?: Outcome })
  const { data: merchants = [] } = useMerchantsQuery()
  const { data: servings = [] } = useServingsQuery()
  const { data: kitchen } = useKitchenQuery()
  const species = at('species')
  const common = useAnswer(useSheet(), species || null, (desk) => desk.commonNames([species]))?.value[species]
  const after = Number(at('after') || 0)
  const dishes = [...new Set([...servings.map(({ brief }) => brief.dish), ...(at('dish') === '' ? [] : [at('dish')])])].sort()
  const named = merchants.map(({ merchant }) => merchant.name)
  const all = (words: string, names: readonly string[]): readonly (readonly [string, string])[] => [
    ['', words],
    ...names.map((name) => [name, name] as const),
  ]
  return (
    <Box sx={{ maxWidth: 980 }}>
      <HouseBookRooms here="/house-book/entries" />
      <Box role="search" aria-label="Search the house book" sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mb: 1.5 }}>
        <TextField size="small" label="Words" value={at('text')} onChange={({ target }) => put('text')(target.value)} sx={{ width: 200 }} />
        <OneOf label="Entries" value={at('kinds')} options={KINDS} onChange={put('kinds')} sx={{ minWidth: 150 }} />
        <OneOf label="Outcome" value={at('outcome')} options={OUTCOMES} onChange={put('outcome')} sx={{ minWidth: 140 }} />
        <OneOf label="Season" value={at('months')} options={SEASONS} onChange={put('months')} sx={{ minWidth: 120 }} />
        <OneOf label="Dish" value={at('dish')} options={all('every dish', dishes)} onChange={put('dish')} sx={{ minWidth: 150 }} />
        <OneOf
          label="Merchant"
          value={at('merchant')}
          options={all('every merchant', [...new Set([...named, ...(at('merchant') ? [at('merchant')] : [])])])}
          onChange={put('merchant')}
          sx={{ minWidth: 160 }}
        />
        {species !== '' && (
          <Button variant="outlined" onClick={() => put('species')('')}>
            {common ?? species}: every fish
          </Button>
        )}
        {at('offerId') !== '' && (
          <Button variant="outlined" onClick={() => put('offerId')('')}>
            One fish as it is sold: every fish
          </Button>
        )}
      </Box>
      {kitchen && <LessonForm today={kitchen.today} dishes={dishes} merchants={named} />}
      {data ? (
        <>
          <Typography role="status" aria-label="Entries found" aria-busy={isFetching} color="text.secondary" gutterBottom>
            {data.total === 0 ? 'No entry answers that.' : data.total === 1 ? 'One entry' : `${data.total} entries, the newest first`}
          </Typography>
          {data.total > 0 && <EntryList lines={data.lines} />}
          <Box sx={{ display: 'flex', gap: 1, mt: 1.5 }}>
            {after > 0 && (
              <Button variant="outlined" onClick={() => put('after')(after > PAGE ? String(after - PAGE) : '')}>
                Newer
              </Button>
            )}
            {after + data.lines.length < data.total && (
              <Button variant="outlined" onClick={() => put('after')(String(after + PAGE))}>
                Older
              </Button>
            )}
          </Box>
        </>
      ) : (
        <Waiting what="the house book" shape="rows" />
      )}
    </Box>
  )
}
