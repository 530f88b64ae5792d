import InputBase, { type InputBaseProps } from '@mui/material/InputBase'
import { styled } from '@mui/material/styles'
import { INK } from '../../theme.ts'

const Field = styled(InputBase)({
  width: '100%',
  height: 40,
  padding: '0 14px',
  borderRadius: 4,
  color: 'inherit',
  border: `1px solid ${INK.slate}`,
  '&.Mui-focused': { outline: `2px solid ${INK.kelp}`, outlineOffset: 2 },
  '& input::placeholder': { color: 'inherit', opacity: 0.8 },
})

interface Props extends InputBaseProps {
  readonly label: string
  /** Whether "/" leads here from anywhere on the page. */
  readonly focusKey: boolean
}

/** The field in which a fish is looked for, with its list or before it. */
export const SearchField = ({ label, focusKey, inputProps, ...props }: Props) => (
  <Field
    {...props}
    placeholder={label}
    inputProps={{ ...inputProps, 'aria-label': label, 'data-focus-key': focusKey ? '/' : undefined, spellCheck: false }}
  />
)
