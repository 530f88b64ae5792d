import Alert from '@mui/material/Alert'
import Button from '@mui/material/Button'
import type { Diners, NormalisedBrief } from '@tender-gill/contract'
import { hasVulnerable, isServedRaw } from '@tender-gill/core'
import { Link } from 'react-router'
import { joinWords } from '../../parts/dishWords.ts'

const PEOPLE: readonly (readonly [key: 'children' | 'pregnant' | 'elderly' | 'immunocompromised', one: string, many: string])[] = [
  ['pregnant', 'the pregnant guest', 'the pregnant guests'],
  ['children', 'the child', 'the children'],
  ['elderly', 'the elderly guest', 'the elderly guests'],
  ['immunocompromised', 'the guest with weakened immunity', 'the guests with weakened immunity'],
]

/** The people for whom raw fish is closed, as one speaks of them. */
export const namePeople = (diners: Diners = {}): string =>
  joinWords(PEOPLE.flatMap(([key, one, many]) => (diners[key] ? [diners[key] === 1 ? one : many] : [])))

/** The same diners without those people; covers stay with whoever counts them. */
export const withoutThem = (diners: Diners = {}): Diners => ({ ...diners, children: 0, pregnant: 0, elderly: 0, immunocompromised: 0 })

interface Props {
  readonly brief: NormalisedBrief
  readonly diners: Diners | undefined
  readonly onlyOffered: boolean
  readonly onDiners: (diners: Diners) => void
  readonly onShowAll: () => void
}

/** No fish can do the dish: people at risk are answered as people, with both ways on as one press. */
export function NobodyCan({ brief, diners, onlyOffered, onDiners, onShowAll }: Props) {
  if (isServedRaw(brief) && hasVulnerable(brief)) {
    const people = namePeople(diners)
    return (
      <Alert
        severity="warning"
        sx={{ m: 1 }}
        action={
          <>
            <Button color="inherit" component={Link} to="/dishes/new?method=poach" sx={{ whiteSpace: 'nowrap' }}>
              A cooked dish for them
            </Button>
            <Button color="inherit" onClick={() => onDiners(withoutThem(diners))} sx={{ whiteSpace: 'nowrap' }}>
              Take them off this dish
            </Button>
          </>
        }
      >
        Nothing raw for {people}, whatever was frozen: cook theirs, or take them off this dish. Follow your local authority’s advice.
      </Alert>
    )
  }
  return (
    <Alert
      severity="info"
      sx={{ m: 1 }}
      action={
        onlyOffered && (
          <Button color="inherit" onClick={onShowAll} sx={{ whiteSpace: 'nowrap' }}>
            Show all fish
          </Button>
        )
      }
    >
      {onlyOffered ? 'No fish on your lists' : 'No fish of the book'} can do this dish as it stands. Below is who came close, and what would
      let it in.
    </Alert>
  )
}
