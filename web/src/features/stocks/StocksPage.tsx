import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Paper from '@mui/material/Paper'
import Typography from '@mui/material/Typography'
import { computeStockStanding } from '@tender-gill/core'
import { useState } from 'react'
import type { Stock } from '@tender-gill/contract'
import { Link } from 'react-router'
import { useCreateStockMutation, useKitchenQuery, useStocksQuery } from '../../api/api.ts'
import { Shoal } from '../../drawings/Shoal.tsx'
import { useAnswer, useSheet } from '../../engine/index.ts'
import { FishSearch } from '../../parts/fishSearch/index.ts'
import { Waiting } from '../../parts/Waiting.tsx'
import { useSearch } from '../../state/useSearch.ts'
import { HEADING } from '../../theme.ts'
import { Evidence, NewEvidence } from './Evidence.tsx'
import { MarketFiles } from '../../parts/import/index.ts'
import { MarketRooms } from '../../parts/MarketRooms.tsx'
import { RoomGrid, SideName, SideRow } from '../../parts/SideList.tsx'
import { describePlace } from '../../parts/describePlace.ts'
import { WhatIsThis } from '../../parts/WhatIsThis.tsx'

/** What the kitchen keeps on the stocks it buys from, each with its standing and what that rests on. */
export default function StocksPage() {
  const [search, change] = useSearch()
  const { data: kitchen } = useKitchenQuery()
  const { data: records } = useStocksQuery()
  const [create] = useCreateStockMutation()
  const [origin, setOrigin] = useState<'wild' | 'farmed'>('wild')
  const species = [...(records?.map(({ stock }) => stock.species) ?? []), search.get('new')?.split('|')[1] ?? []].flat()
  const names = useAnswer(useSheet(), species.join(',') || null, (desk) => desk.commonNames(species))?.value ?? {}
  if (!records || !kitchen) return <Waiting what="the stocks" shape="panels" />
  const year = Number(kitchen.today.slice(0, 4))
  const rows = records
    .map((record) => ({ record, standing: computeStockStanding(record.stock, year) }))
    .sort((a, b) => b.standing.typical - a.standing.typical || (a.record.id < b.record.id ? -1 : 1))
  const chosen = records.find(({ id }) => id === search.get('stock')) ?? rows[0]?.record
  // Of a new stock nothing is known, and nothing is kept, until somebody says something of it.
  const begun = search.get('new')
  const [begunOrigin, begunFish] = begun === null ? [] : begun.split('|')
  const add = (fish: string) => change((params) => params.set('new', `${origin}|${fish}`))
  const keepBegun = async (stock: Stock) => {
    const { data } = await create({ stock })
    if (!data) return false
    change((params) => {
      params.delete('new')
      params.set('stock', data.id)
    })
    return true
  }
  return (
    <Box sx={{ mt: 1 }}>
      <MarketRooms here="/market/stocks" />
      <RoomGrid side="440px">
        <Paper component="section" aria-label="Stocks" sx={{ p: 2 }}>
          <Box sx={{ display: 'flex', gap: 1, mb: 1 }}>
            {(['wild', 'farmed'] as const).map((one) => (
              <Button
                key={one}
                size="small"
                variant={one === origin ? 'contained' : 'outlined'}
                aria-pressed={one === origin}
                onClick={() => setOrigin(one)}
              >
                {one}
              </Button>
            ))}
          </Box>
          <FishSearch label={`Add a ${origin} stock`} onPick={add} />
          {rows.length === 0 && (
            <Typography sx={{ mt: 1 }}>No evidence is kept on any stock. Every shoal is hollow until some is.</Typography>
          )}
          <Box component="ul" aria-label="Stocks, the best standing first" sx={{ listStyle: 'none', p: 0, m: 0, mt: 1 }}>
            {rows.map(({ record: { id, stock }, standing }) => (
              <SideRow key={id} open={id === chosen?.id} columns="36px minmax(0, 1fr) auto">
                <Box sx={{ fontFamily: HEADING, fontWeight: 700, fontSize: 20 }}>{standing.typical.toFixed(0)}</Box>
                <div>
                  <SideName
                    open={id === chosen?.id}
                    onOpen={() =>
                      change((params) => {
                        params.delete('new')
                        params.set('stock', id)
                      })
                    }
                  >
                    {names[stock.species] ?? stock.species}
                  </SideName>
                  <Typography variant="body2" color="text.secondary">
                    {describePlace(stock)}
                  </Typography>
                </div>
                <Shoal standing={standing} weakest={standing.weakest} />
              </SideRow>
            ))}
          </Box>
          <MarketFiles what="stocks" />
          <Typography variant="body2" color="text.secondary" sx={{ mt: 1 }}>
            What the demo came with is invented. Wish and floor are set in the <Link to="/house">house</Link>.{' '}
            <Link to="/market/standing">How a standing is worked out</Link>. <WhatIsThis about="standing" />
          </Typography>
        </Paper>
        {begunFish && (begunOrigin === 'wild' || begunOrigin === 'farmed') && (
          <NewEvidence
            key={begun}
            species={begunFish}
            origin={begunOrigin}
            name={names[begunFish] ?? begunFish}
            year={year}
            onKeep={keepBegun}
          />
        )}
        {chosen && begun === null && (
          <Evidence key={chosen.id} record={chosen} name={names[chosen.stock.species] ?? chosen.stock.species} year={year} />
        )}
      </RoomGrid>
    </Box>
  )
}
