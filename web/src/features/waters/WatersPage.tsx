import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Paper from '@mui/material/Paper'
import TextField from '@mui/material/TextField'
import Typography from '@mui/material/Typography'
import type { Season, SeasonRecord } from '@tender-gill/contract'
import { useState } from 'react'
import { useCreateSeasonMutation, useKitchenQuery, useSeasonsQuery } from '../../api/api.ts'
import { Tide } from '../../drawings/Tide.tsx'
import { useAnswer, useSheet } from '../../engine/index.ts'
import { FishSearch } from '../../parts/fishSearch/index.ts'
import { Waiting } from '../../parts/Waiting.tsx'
import { useSearch } from '../../state/useSearch.ts'
import { MarketFiles } from '../../parts/import/index.ts'
import { MarketRooms } from '../../parts/MarketRooms.tsx'
import { RoomGrid, SideName, SideRow } from '../../parts/SideList.tsx'
import { Year } from './Year.tsx'
import { startYear } from './yearEdit.ts'
import { WhatIsThis } from '../../parts/WhatIsThis.tsx'

type Names = Readonly<Record<string, string>>

interface ListProps {
  readonly rows: readonly SeasonRecord[]
  readonly names: Names
  readonly chosen: string | undefined
  readonly month: number
  readonly onChoose: (id: string) => void
}

const FishOfWater = ({ rows, names, chosen, month, onChoose }: ListProps) => (
  <Box component="ul" aria-label="Fish of this water" sx={{ listStyle: 'none', p: 0, m: 0 }}>
    {rows.map(({ id, season }) => (
      <SideRow key={id} open={id === chosen} columns="minmax(0, 1fr) auto">
        <SideName open={id === chosen} onOpen={() => onChoose(id)}>
          {names[season.species] ?? season.species}
          {season.gear ? `, ${season.gear}` : ''}
        </SideName>
        <Tide season={season} month={month} />
      </SideRow>
    ))}
  </Box>
)

/** The waters a kitchen buys from: for each fish twelve months of landings and of condition, and when it is closed. */
export default function WatersPage() {
  const [search, change] = useSearch()
  const { data: kitchen } = useKitchenQuery()
  const { data: records } = useSeasonsQuery()
  const [create] = useCreateSeasonMutation()
  const [other, setOther] = useState('')
  const species = records?.map(({ season }) => season.species) ?? []
  const names = useAnswer(useSheet(), species.join(',') || null, (desk) => desk.commonNames(species))?.value ?? {}
  if (!records || !kitchen) return <Waiting what="the waters" shape="panels" />
  const waters = [...new Set(records.map(({ season }) => season.water))].sort()
  const water = search.get('water') ?? waters[0] ?? ''
  const rows = records
    .filter(({ season }) => season.water === water)
    .sort((a, b) => ((names[a.season.species] ?? '') < (names[b.season.species] ?? '') ? -1 : 1))
  const chosen = rows.find(({ id }) => id === search.get('year')) ?? rows[0]
  const month = Number(kitchen.today.slice(5, 7))
  const addYear = async (season: Season) => {
    const { data } = await create({ season })
    if (data) change((params) => params.set('year', data.id))
  }
  const add = async (fish: string) => {
    const there = rows.find(({ season }) => season.species === fish)
    if (there) change((params) => params.set('year', there.id))
    else await addYear(startYear(fish, water))
  }
  return (
    <Box sx={{ mt: 1 }}>
      <MarketRooms here="/market/waters" />
      <RoomGrid side="380px">
        <Paper component="section" aria-label="Waters" sx={{ p: 2 }}>
          <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mb: 1.5 }}>
            {waters.map((name) => (
              <Button
                key={name}
                variant={name === water ? 'contained' : 'outlined'}
                aria-pressed={name === water}
                onClick={() =>
                  change((params) => {
                    params.set('water', name)
                    params.delete('year')
                  })
                }
              >
                {name}
              </Button>
            ))}
          </Box>
          <Box
            component="form"
            onSubmit={(event) => {
              event.preventDefault()
              if (other.trim() !== '') change((params) => params.set('water', other.trim()))
              setOther('')
            }}
            sx={{ display: 'flex', gap: 1, mb: 1.5 }}
          >
            <TextField
              size="small"
              label="Another water"
              value={other}
              onChange={({ target }) => setOther(target.value)}
              sx={{ flex: 1 }}
            />
            <Button type="submit">Open</Button>
          </Box>
          {rows.length === 0 && (
            <Typography gutterBottom>
              Nothing is kept of {water === '' ? 'any water' : water} yet. Name a fish that comes from it.
            </Typography>
          )}
          {water !== '' && <FishSearch label={`Add a fish of ${water}`} onPick={(fish) => void add(fish)} />}
          <FishOfWater
            rows={rows}
            names={names}
            chosen={chosen?.id}
            month={month}
            onChoose={(id) => change((params) => params.set('year', id))}
          />
          <MarketFiles what="seasons" />
          <Typography variant="body2" color="text.secondary" sx={{ mt: 1 }}>
            The waters and years that the demo came with are invented. A dish counts the year once its brief names the waters.{' '}
            <WhatIsThis about="tide" />
          </Typography>
        </Paper>
        {chosen && (
          <Year
            key={chosen.id}
            record={chosen}
            name={names[chosen.season.species] ?? chosen.season.species}
            month={month}
            onAnother={(season) => void addYear(season)}
          />
        )}
      </RoomGrid>
    </Box>
  )
}
