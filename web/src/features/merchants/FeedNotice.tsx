import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import type { FeedState, MerchantRecord } from '@tender-gill/contract'
import { useFeedsQuery, useReadFeedsMutation } from '../../api/api.ts'
import { INK } from '../../theme.ts'
import { sayDay } from '../../parts/orderWords.ts'

/** How a feed stands, in words. */
export function describeFeed({ state, lastListDate: named, problem, failures, nextTryAt }: FeedState, today: string): string {
  // A merchant whose day begins earlier sends what counts here as today's.
  const lastListDate = named !== null && named > today ? today : named
  if (state === 'fresh') return `list of ${lastListDate ? sayDay(lastListDate, today) : 'no day'}`
  const again = nextTryAt ? `; tried again at ${nextTryAt.slice(11, 16)} UTC` : ''
  if (state === 'never') return problem ? `nothing came yet: ${problem}${again}` : 'nothing came yet'
  return `silent, ${problem ?? 'no word'} (${failures === 1 ? 'once' : `${failures} times`})${again}. Its list of ${lastListDate ? sayDay(lastListDate, today) : 'before'} still counts`
}

/** Looks at every feed at once. */
export function LookNow() {
  const [read, { isLoading }] = useReadFeedsMutation()
  return (
    <Button size="small" disabled={isLoading} onClick={() => void read()}>
      {isLoading ? 'Looking ...' : 'Look now'}
    </Button>
  )
}

/** The merchants that send their lists: what came this morning, and who is silent. */
export function FeedNotice({ merchants, today }: { readonly merchants: readonly MerchantRecord[]; readonly today: string }) {
  const { data: feeds = [] } = useFeedsQuery(undefined, { pollingInterval: 60_000 })
  const rows = merchants.flatMap(({ merchant }) => {
    const feed = feeds.find(({ key }) => key === merchant.feed)
    return feed ? [{ merchant, feed }] : []
  })
  if (rows.length === 0) return null
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'baseline' }}>
      <Box
        component="ul"
        aria-label="Feeds"
        sx={{ listStyle: 'none', p: 0, m: 0, display: 'flex', flexWrap: 'wrap', columnGap: 2.5, rowGap: 0.25 }}
      >
        {rows.map(({ merchant, feed }) => (
          <Typography component="li" variant="body2" key={feed.key} sx={{ color: feed.state === 'fresh' ? INK.slate : INK.dulse }}>
            <b>{merchant.name}</b> {describeFeed(feed, today)}
            {feed.state === 'fresh' && feed.news ? `. “${feed.news}”` : ''}
          </Typography>
        ))}
      </Box>
      <LookNow />
    </Box>
  )
}
