import Box from '@mui/material/Box'
import { useEffect, useRef, useState } from 'react'
import { useDispatch } from 'react-redux'
import { ENTITIES } from '@tender-gill/contract/operations'
import { api, useHealthQuery } from '../api/api.ts'
import type { AppDispatch } from '../state/store.ts'
import { INK } from '../theme.ts'

const LOOK_EVERY_MS = 5_000
const LOOK_AGAIN_MS = 2_000

/** Says when the server or its database does not answer, looks again by itself, and fetches afresh when it does. */
export function ConnectionNotice() {
  const dispatch = useDispatch<AppDispatch>()
  const before = useRef(false)
  const [lookEveryMs, setLookEveryMs] = useState(LOOK_EVERY_MS)
  const { isError: away } = useHealthQuery(undefined, { pollingInterval: lookEveryMs })
  const wanted = away ? LOOK_AGAIN_MS : LOOK_EVERY_MS
  if (wanted !== lookEveryMs) setLookEveryMs(wanted)
  useEffect(() => {
    if (before.current && !away) dispatch(api.util.invalidateTags([...ENTITIES]))
    before.current = away
  }, [away, dispatch])
  return (
    <div role="status">
      {away && (
        <Box sx={{ bgcolor: INK.ice, borderBottom: `3px solid ${INK.brass}`, px: 3, py: 1 }}>
          <b>The server does not answer.</b> What you type is kept in this browser and stored as soon as it is back.
        </Box>
      )}
    </div>
  )
}
