import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import type { Brief, Form, ResolvedOffer } from '@tender-gill/contract'
import { findPinBones, type HandWork } from '@tender-gill/core'
import { useState } from 'react'
import { PinBonesDrawing } from '../../drawings/PinBonesDrawing.tsx'
import { OneOf } from '../../parts/OneOf.tsx'
import { nameQuestion, useAnswer, useSheet } from '../../engine/index.ts'
import { Waiting } from '../../parts/Waiting.tsx'
import { INK } from '../../theme.ts'
import { sayMinutes } from './cookWords.ts'

const SKILLS = [
  ['high', 'New to it'],
  ['typical', 'Used to it'],
  ['low', 'Every day'],
] as const
type Skill = (typeof SKILLS)[number][0]
const TASK_WORDS: Record<HandWork['task'], string> = {
  spines: 'Spines',
  scale: 'Scale',
  fins: 'Trim the fins',
  gut: 'Gut',
  blood: 'Clean the blood along the spine',
  'fillet-round': 'Fillet',
  'fillet-flat': 'Fillet',
  steaks: 'Cut steaks',
  'pin-bones': 'Draw the pin bones',
  skin: 'Skin',
  dry: 'Dry',
  keep: 'Keep the rest',
  'at-table': 'Lift it off its bones',
}

/** What hands do before the pan, how long it takes, and what a fishmonger does instead. */
export function Hands({ offer, form, brief }: { readonly offer: ResolvedOffer; readonly form: Form; readonly brief: Brief }) {
  const [skill, setSkill] = useState<Skill>('typical')
  const cooked = { format: brief.format, skin: brief.skin }
  const answer = useAnswer(useSheet(brief.date), nameQuestion([offer.id, form, cooked]), (desk) => desk.hands(offer.id, form, cooked))
  if (!answer) return <Waiting what="the work" />
  const work = answer.value
  const bones = findPinBones(offer)
  const asked = work.filter(({ canBeAsked }) => canBeAsked)
  const all = work.reduce((sum, { minutes }) => sum + (minutes?.[skill] ?? 0), 0)
  if (work.length === 0) return <Typography color="text.secondary">Nothing is written yet about preparing this animal.</Typography>
  return (
    <>
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap', mb: 1 }}>
        <OneOf label="Your hands" value={skill} options={SKILLS} onChange={(value) => setSkill(value as Skill)} sx={{ width: 150 }} />
        <Typography>
          <b>{sayMinutes(all)}</b> for one fish.{' '}
          {asked.length > 0 && `Or ask the fishmonger: ${asked.map(({ task }) => TASK_WORDS[task].toLowerCase()).join(', ')}.`}
        </Typography>
      </Box>
      <Box component="ol" sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {work.map(({ task, sentence, minutes }) => (
          <Box
            component="li"
            key={task}
            sx={{
              py: 0.75,
              borderTop: `1px solid ${INK.hairline}`,
              ...(task === 'spines' && { borderLeft: `4px solid ${INK.brass}`, pl: 1 }),
            }}
          >
            <Typography variant="h3" component="h3">
              {TASK_WORDS[task]}
              {minutes && (
                <Box component="span" sx={{ color: INK.slate, fontWeight: 400 }}>
                  {' '}
                  {sayMinutes(minutes[skill])}
                </Box>
              )}
            </Typography>
            <Typography>{sentence}</Typography>
            {task === 'pin-bones' && bones && <PinBonesDrawing {...bones} />}
          </Box>
        ))}
      </Box>
    </>
  )
}
