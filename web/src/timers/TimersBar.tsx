import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { useEffect, useRef, useState } from 'react'
import { Link } from 'react-router'
import { HEADING, INK } from '../theme.ts'
import { ring } from './ring.ts'
import { sayLeft } from './sayLeft.ts'
import { useNow, useTimers, useWakeLock } from './useTimers.ts'

const SOUND = 'tender-gill-timers-sound'

/** Timers that run, on every page: what is next, how long it is, and what is done then; large enough to read across a kitchen. */
export function TimersBar() {
  const { timers, stop, more } = useTimers()
  const nowMs = useNow(timers.length > 0 ? 1000 : 0)
  const [sound, setSound] = useState(() => localStorage.getItem(SOUND) === 'on')
  const [all, setAll] = useState(false)
  const rung = useRef<ReadonlySet<string>>(new Set())
  useWakeLock(timers.length > 0)
  useEffect(() => {
    const due = timers.filter(({ endsMs }) => endsMs <= nowMs)
    if (sound && due.some(({ id }) => !rung.current.has(id))) ring()
    rung.current = new Set(due.map(({ id }) => id))
  }, [timers, nowMs, sound])
  if (timers.length === 0) return null
  const [next] = timers
  return (
    <Box
      component="section"
      aria-label="Timers"
      sx={{
        ...{ position: 'sticky', bottom: 0, zIndex: 5, background: INK.squid, color: INK.ice, displayPrint: 'none' },
        ...{ px: { xs: 1, md: 2.5 }, py: 0.75, maxHeight: '45vh', overflowY: 'auto' },
      }}
    >
      <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0, display: 'flex', flexWrap: 'wrap', gap: 1 }}>
        {timers.map((timer) => {
          const left = timer.endsMs - nowMs
          const due = left <= 0
          const soon = !due && timer.fromMs <= nowMs
          return (
            <Box
              component="li"
              key={timer.id}
              sx={{
                ...{ display: 'flex', alignItems: 'center', gap: 1, p: 1, borderRadius: 1, flex: { xs: '1 1 100%', md: '0 1 auto' } },
                ...{ background: due ? INK.roe : 'rgb(255 255 255 / 9%)', color: due ? INK.squid : INK.ice },
                ...(timer !== next && !due && !all && { display: { xs: 'none', md: 'flex' } }),
                ...(soon && { outline: `2px solid ${INK.roe}` }),
              }}
            >
              <Box
                sx={{
                  fontFamily: HEADING,
                  fontWeight: 700,
                  fontSize: timer === next ? 40 : 26,
                  lineHeight: 1,
                  minWidth: timer === next ? 104 : 70,
                }}
              >
                {sayLeft(left)}
              </Box>
              <Box
                sx={{
                  flex: 1,
                  minWidth: 0,
                  lineHeight: 1.25,
                  '& a': { display: 'block', overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' },
                }}
              >
                <b>{timer.then}</b>
                <Link to={timer.path} style={{ color: 'inherit' }}>
                  {timer.what}
                </Link>
                {soon && ' — look at it now'}
              </Box>
              <Button
                color="inherit"
                variant="outlined"
                onClick={() => more(timer.id, 1)}
                aria-label={`A minute more: ${timer.what}`}
                sx={{ minHeight: 44, minWidth: 64 }}
              >
                +1 min
              </Button>
              <Button
                color="inherit"
                variant="outlined"
                onClick={() => stop(timer.id)}
                aria-label={`Done: ${timer.what}, ${timer.then}`}
                sx={{ minHeight: 44 }}
              >
                Done
              </Button>
            </Box>
          )
        })}
        <Box component="li" sx={{ alignSelf: 'center' }}>
          {timers.length > 1 && (
            <Button color="inherit" aria-expanded={all} onClick={() => setAll(!all)} sx={{ minHeight: 44, display: { md: 'none' } }}>
              {all ? 'Only the next' : `${timers.length - 1} more`}
            </Button>
          )}
          <Button
            color="inherit"
            aria-pressed={sound}
            onClick={() => {
              localStorage.setItem(SOUND, sound ? 'off' : 'on')
              setSound(!sound)
              if (!sound) ring()
            }}
            sx={{ minHeight: 44 }}
          >
            {sound ? 'Sound is on' : 'Sound is off'}
          </Button>
        </Box>
      </Box>
      <Box component="p" role="status" sx={{ position: 'absolute', width: 1, height: 1, overflow: 'hidden', clipPath: 'inset(50%)', m: 0 }}>
        {timers.filter(({ endsMs }) => endsMs <= nowMs).map(({ what, then }) => `${then}: ${what}. `)}
      </Box>
    </Box>
  )
}
