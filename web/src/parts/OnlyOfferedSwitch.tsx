import FormControlLabel from '@mui/material/FormControlLabel'
import Switch from '@mui/material/Switch'
import useMediaQuery from '@mui/material/useMediaQuery'
import { useOnlyOffered } from '../state/useOnlyOffered.ts'

interface Props {
  /** Whether only what can be bought answers now. */
  readonly onlyOffered: boolean
  /** Species that can be bought. */
  readonly offered: number
}

/** The kitchen's switch: every line of fish is of what can be bought, or of the whole book. */
export function OnlyOfferedSwitch({ onlyOffered, offered }: Props) {
  const [, say] = useOnlyOffered()
  const narrow = useMediaQuery('(max-width: 900px)')
  return (
    <FormControlLabel
      control={<Switch checked={onlyOffered} onChange={(_event, on) => say(on)} />}
      label={offered > 0 && !narrow ? `Only what I can buy (${offered} fish)` : 'Only what I can buy'}
      sx={{ mr: 0, minHeight: 44 }}
    />
  )
}
