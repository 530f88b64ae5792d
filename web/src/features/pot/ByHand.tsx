import Box from '@mui/material/Box'
import Chip from '@mui/material/Chip'
import { nameQuestion, useAnswer, useSheet } from '../../engine/index.ts'
import { FishSearch } from '../../parts/fishSearch/index.ts'
import type { PotHand } from './usePotHand.ts'

/** What a hand put in and took out, each put back with one press, and a field to put in another fish. */
export function ByHand({ hand: { holds, without, putIn, letGo, letBackIn } }: { readonly hand: PotHand }) {
  const sheet = useSheet()
  const named = [...holds, ...without]
  const key = sheet && named.length > 0 ? `${sheet.name}|${nameQuestion(named)}` : null
  const names = useAnswer(sheet, key, (desk) => desk.commonNames(named))?.value
  const nameOf = (species: string) => names?.[species] ?? species
  return (
    <Box
      role="group"
      aria-label="By hand"
      sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center', my: 1, displayPrint: 'none' }}
    >
      <Box sx={{ flex: '1 1 220px', maxWidth: 340 }}>
        <FishSearch label="Put in which fish?" onPick={putIn} />
      </Box>
      {holds.map((species) => (
        <Chip key={species} label={`${nameOf(species)} stays in`} color="primary" onDelete={() => letGo(species)} sx={{ height: 44 }} />
      ))}
      {without.map((species) => (
        <Chip
          key={species}
          label={`Without ${nameOf(species)}`}
          variant="outlined"
          onDelete={() => letBackIn(species)}
          sx={{ height: 44 }}
        />
      ))}
    </Box>
  )
}
