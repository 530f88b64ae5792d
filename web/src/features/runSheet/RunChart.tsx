import Box from '@mui/material/Box'
import type { RunPlan } from '@tender-gill/core'
import type { Told } from '@tender-gill/words'
import type { CookedToRun } from '../../engine/index.ts'
import { HEADING, INK } from '../../theme.ts'
import { nameMedium } from '../cook/index.ts'
import { sayClock } from './layTasks.ts'

interface Props {
  readonly plan: Told<RunPlan>
  readonly cooked: Readonly<Record<string, CookedToRun>>
  readonly dishOf: (id: string) => string
  readonly nowMin: number
}
const WIDTH = 1000
const LEFT = 28
const ROW = 62
const TOP = 26

const stepOf = (span: number): number => [1, 2, 5, 10, 15, 30, 60, 120].find((step) => span / step <= 10) ?? 240

/** As many whole words as there is room for; nothing rather than half a word. */
const cutWords = (text: string, letters: number): string => {
  const words = text.split(' ')
  const fit = words.filter((_, i) => words.slice(0, i + 1).join(' ').length <= letters)
  return fit.join(' ').replace(/[,;]$| (or|in|with|and)$/, '')
}

/** Every dish as a bar over the time to the table: its stages, its rest, and the moment it is served. */
export function RunChart({ plan, cooked, dishOf, nowMin }: Props) {
  const serves = plan.rows.flatMap(({ tasks }) => tasks.filter(({ kind }) => kind === 'serve').map(({ atMin }) => atMin))
  const from = Math.floor(Math.min(...plan.rows.map(({ startMin }) => startMin)) - 1)
  const to = Math.ceil(Math.max(...serves) + 1)
  const xOf = (minute: number) => LEFT + ((WIDTH - 2 * LEFT) * (minute - from)) / (to - from)
  const step = stepOf(to - from)
  const first = Math.ceil(from / step) * step
  const height = TOP + plan.rows.length * ROW + 6
  return (
    <Box sx={{ overflowX: 'auto' }} tabIndex={0} role="group" aria-label="The time to the table, drawn">
      <Box
        component="svg"
        viewBox={`0 0 ${WIDTH} ${height}`}
        sx={{ width: '100%', minWidth: 620, display: 'block', fontSize: 14 }}
        role="img"
        aria-label="Every dish over the time to the table"
      >
        {Array.from({ length: Math.floor((to - first) / step) + 1 }, (_, i) => first + i * step).map((minute) => (
          <g key={minute}>
            <path d={`M${xOf(minute)} ${TOP - 6} V${height}`} stroke={INK.hairline} />
            <text x={xOf(minute)} y={14} textAnchor="middle" fill={INK.slate}>
              {sayClock(minute)}
            </text>
          </g>
        ))}
        {plan.rows.map(({ id, startMin, outMin, tasks, batches }, i) => {
          const one = cooked[id]
          const serve = tasks.find(({ kind }) => kind === 'serve')?.atMin ?? outMin
          const y = TOP + i * ROW
          const each = one?.cook.pull.minutes.typical ?? 0
          const starts = Array.from({ length: batches }, (_, batch) => startMin + batch * each)
          return (
            <g key={id}>
              <text x={Math.min(xOf(startMin), WIDTH - 330)} y={y + 15} fontFamily={HEADING} fontWeight={700}>
                {one?.common}, {dishOf(id)}
              </text>
              {starts.flatMap((start) =>
                (one?.cook.stages ?? [])
                  .filter(({ rest }) => !rest)
                  .map(({ fromMinutes, toMinutes, medium }) => {
                    const [x, end] = [xOf(start + fromMinutes), xOf(start + toMinutes)]
                    return (
                      <g key={start + fromMinutes}>
                        <rect
                          x={x + 1}
                          y={y + 22}
                          width={Math.max(2, end - x - 2)}
                          height={30}
                          rx={3}
                          fill={INK.brine}
                          stroke={INK.kelp}
                          strokeWidth={2}
                        />
                        {end - x > 60 && (
                          <text x={x + 8} y={y + 42} clipPath="none">
                            {cutWords(nameMedium(medium), Math.floor((end - x - 14) / 7))}
                          </text>
                        )}
                      </g>
                    )
                  }),
              )}
              <rect
                x={xOf(outMin) + 1}
                y={y + 30}
                width={Math.max(2, xOf(serve) - xOf(outMin) - 2)}
                height={14}
                rx={3}
                fill={INK.slab}
                stroke={INK.slate}
              />
              <circle cx={xOf(serve)} cy={y + 37} r={6} fill={INK.squid} />
            </g>
          )
        })}
        {nowMin > from && nowMin < to && <path d={`M${xOf(nowMin)} ${TOP - 6} V${height}`} stroke={INK.roe} strokeWidth={3} />}
      </Box>
    </Box>
  )
}
