import Rating from '@mui/material/Rating'
import { INK } from '../../theme.ts'

const Dot = ({ full }: { readonly full: boolean }) => (
  <svg width={14} height={22} aria-hidden>
    <circle cx={7} cy={11} r={5} fill={full ? INK.squid : INK.ice} stroke={INK.squid} />
  </svg>
)

interface Props {
  readonly name: string
  readonly pull: number
  readonly onChange: (pull: number) => void
}

/** How much an ask matters, as five dots: a radio group, from "does not matter" to "matters 5 of 5". Pressing the set dot again clears it. */
export function PullDots({ name, pull, onChange }: Props) {
  return (
    <Rating
      name={`matters-${name}`}
      value={Math.round(pull)}
      max={5}
      icon={<Dot full />}
      emptyIcon={<Dot full={false} />}
      getLabelText={(n) => `${name} matters ${n} of 5`}
      emptyLabelText={`${name} does not matter`}
      onChange={(_event, value) => onChange(value ?? 0)}
    />
  )
}
