import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Paper from '@mui/material/Paper'
import TextField from '@mui/material/TextField'
import Typography from '@mui/material/Typography'
import type { MerchantRecord } from '@tender-gill/contract'
import { planOrder } from '@tender-gill/core'
import { useState } from 'react'
import { Link } from 'react-router'
import {
  useCreateMerchantMutation,
  useFeedsQuery,
  useKitchenQuery,
  useMerchantsQuery,
  usePriceListsQuery,
  useRemoveMerchantMutation,
  useRestoreMerchantMutation,
} from '../../api/api.ts'
import { Waiting } from '../../parts/Waiting.tsx'
import { useSearch } from '../../state/useSearch.ts'
import { HEADING } from '../../theme.ts'
import { Deliveries } from '../../parts/Deliveries.tsx'
import { Lessons } from '../../parts/Lessons.tsx'
import { MarketRooms } from '../../parts/MarketRooms.tsx'
import { RoomGrid, SideName, SideRow } from '../../parts/SideList.tsx'
import { describeFeed, LookNow } from './FeedNotice.tsx'
import { ListRows } from './ListRows.tsx'
import { MerchantEditor } from './MerchantEditor.tsx'
import { sayOrder } from '../../parts/orderWords.ts'
import { readLocalTime } from '../../parts/readLocalTime.ts'
import { useUndoable } from '../../notices/index.ts'

/** The merchants a kitchen buys from: their days, their lists, and the feeds that bring them. */
export default function MerchantsPage() {
  const [search, change] = useSearch()
  const { data: kitchen } = useKitchenQuery()
  const { data: records } = useMerchantsQuery()
  const { data: lists } = usePriceListsQuery()
  const { data: feeds = [] } = useFeedsQuery(undefined, { pollingInterval: 60_000 })
  const [create] = useCreateMerchantMutation()
  const [remove] = useRemoveMerchantMutation()
  const [restore] = useRestoreMerchantMutation()
  const undoable = useUndoable()
  const [name, setName] = useState('')
  if (!kitchen || !records || !lists) return <Waiting what="the merchants" shape="panels" />
  const { today } = kitchen
  const now = { date: today, time: readLocalTime(kitchen.zone) }
  const sorted = [...records].sort((a, b) => (a.merchant.name < b.merchant.name ? -1 : 1))
  const chosen = sorted.find(({ id }) => id === search.get('merchant')) ?? sorted[0]
  const add = async () => {
    const merchant = { name: name.trim(), delivers: [2, 3, 4, 5, 6], orderBy: '18:00', daysAhead: 1, minimumOrder: null, feed: null }
    const { data } = await create({ merchant })
    if (!data) return
    setName('')
    change((params) => params.set('merchant', data.id))
  }
  const takeAway = ({ id, revision, merchant }: MerchantRecord) =>
    void undoable(() => remove({ id, revision }).unwrap(), {
      done: `${merchant.name} was taken away. Prices of its lists still count.`,
      undone: `${merchant.name} is back.`,
      undo: () => restore(id).unwrap(),
      redo: (back) => remove({ id, revision: back.revision }).unwrap(),
    })
  const own = lists.filter(({ merchantId }) => merchantId === chosen?.id)
  const order = chosen && planOrder(chosen.merchant, now)
  const feed = feeds.find(({ key }) => key === chosen?.merchant.feed)
  return (
    <Box sx={{ mt: 1 }}>
      <MarketRooms here="/market/merchants" />
      <RoomGrid side="360px">
        <Paper component="section" aria-label="Merchants" sx={{ p: 2 }}>
          <Box component="ul" aria-label="Merchants kept" sx={{ listStyle: 'none', p: 0, m: 0 }}>
            {sorted.map(({ id, merchant }) => {
              const next = planOrder(merchant, now)
              return (
                <SideRow key={id} open={id === chosen?.id} columns="minmax(0, 1fr)">
                  <div>
                    <SideName open={id === chosen?.id} onOpen={() => change((params) => params.set('merchant', id))}>
                      {merchant.name}
                    </SideName>
                    <Typography variant="body2" color="text.secondary">
                      {next ? sayOrder(next, today) : 'no delivery in sight'}
                    </Typography>
                  </div>
                </SideRow>
              )
            })}
          </Box>
          <Box
            component="form"
            onSubmit={(event) => {
              event.preventDefault()
              if (name.trim() !== '') void add()
            }}
            sx={{ display: 'flex', gap: 1, mt: 1.5 }}
          >
            <TextField
              size="small"
              label="Another merchant"
              value={name}
              onChange={({ target }) => setName(target.value)}
              sx={{ flex: 1 }}
            />
            <Button type="submit">Add</Button>
          </Box>
          <Typography variant="body2" color="text.secondary" sx={{ mt: 1 }}>
            The merchants that the demo came with are invented, as are their prices.
          </Typography>
        </Paper>
        {chosen ? (
          <Paper key={chosen.id} component="section" aria-label={chosen.merchant.name} sx={{ p: 2, display: 'grid', gap: 2 }}>
            <div>
              <Typography variant="h1" component="h2">
                {chosen.merchant.name}
              </Typography>
              <Lessons merchant={chosen.merchant.name} />
              <Deliveries merchant={chosen.merchant.name} />
              <Typography sx={{ fontFamily: HEADING, fontWeight: 700, fontSize: 20 }}>
                {order ? sayOrder(order, today).replace(/^o/, 'O') : 'No delivery in sight'}
              </Typography>
              {feed && (
                <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center' }}>
                  <Typography color={feed.state === 'fresh' ? 'text.secondary' : 'error'}>
                    Its feed: {describeFeed(feed, today)}.{feed.state === 'fresh' && feed.news ? ` “${feed.news}”` : ''}
                  </Typography>
                  <LookNow />
                </Box>
              )}
            </div>
            <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
              <Button component={Link} to={`/market/merchants/${chosen.id}/list`} variant="contained">
                Bring a list in
              </Button>
              <Button onClick={() => takeAway(chosen)}>Take this merchant away</Button>
            </Box>
            <MerchantEditor record={chosen} kitchen={kitchen} feeds={feeds} />
            <div>
              <Typography variant="h2" component="h3" gutterBottom>
                Its lists
              </Typography>
              <ListRows lists={own} today={today} />
            </div>
          </Paper>
        ) : (
          <Paper sx={{ p: 2 }}>
            <Typography>No merchant is kept yet. Name one, and bring its list in as a file or by pasting it.</Typography>
          </Paper>
        )}
      </RoomGrid>
    </Box>
  )
}
