import Alert from '@mui/material/Alert'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Paper from '@mui/material/Paper'
import Typography from '@mui/material/Typography'
import type { Brief, Problem } from '@tender-gill/contract'
import { METHODS } from '@tender-gill/contract/vocabulary'
import { describeDay } from '../../reader/index.ts'
import { useCallback, useEffect, useState } from 'react'
import { FormProvider, useForm } from 'react-hook-form'
import { useNavigate, useParams, useSearchParams } from 'react-router'
import { toProblemDetails, useCreateServingMutation, useKitchenQuery, useServingsQuery } from '../../api/api.ts'
import { useSheet, sitAt, useEngine } from '../../engine/index.ts'
import type { Dish } from '../../state/useDish.ts'
import { DishGate } from '../../parts/DishGate.tsx'
import { BriefFields } from './BriefFields.tsx'
import { EMPTY, fieldOf, readForm, toForm, type BriefForm } from './briefForm.ts'
import { describeProblem, joinWords } from '../../parts/dishWords.ts'
import { useKitchenId } from '../../kitchen/index.ts'
import { readStored } from '../../state/readStored.ts'
import { INK } from '../../theme.ts'

const placeOf = (kitchen: string): string => `tender-gill-new-dish|${kitchen}`

interface EditorProps {
  readonly initial: BriefForm
  readonly before: Partial<Brief>
  readonly title: string
  readonly action: string
  readonly onChange?: (form: BriefForm) => void
  /** Keeps the brief; returns the problems it met. */
  readonly onKeep: (brief: Brief) => Promise<readonly Problem[]>
}

function Editor({ initial, before, title, action, onChange, onKeep }: EditorProps) {
  const { data: kitchen } = useKitchenQuery()
  const sheet = useSheet()
  const engine = useEngine()
  const form = useForm<BriefForm>({ defaultValues: initial })
  const [elsewhere, setElsewhere] = useState<readonly Problem[]>([])
  useEffect(() => {
    if (!onChange) return undefined
    return form.subscribe({ formState: { values: true }, callback: ({ values }) => onChange(values) })
  }, [form, onChange])
  const show = (problems: readonly Problem[]) => {
    const known = Object.keys(initial)
    const at = (path: string) => fieldOf(path.replace(/^\/brief/, ''))
    const shown = problems.filter(({ path }) => known.includes(at(path) ?? ''))
    // The first mistake is where one goes on.
    shown.forEach(({ path, message }, i) => form.setError(at(path) as keyof BriefForm, { message }, { shouldFocus: i === 0 }))
    setElsewhere(problems.filter((problem) => !shown.includes(problem)))
  }
  const submit = form.handleSubmit(async (values) => {
    setElsewhere([])
    const read = readForm(values, before, kitchen?.currency ?? 'EUR')
    if (!read.ok) {
      show(read.error)
      return
    }
    // With the same rules as the server, and before it is asked.
    const sense = sheet && (await sitAt(engine, sheet).lineUp(read.value, { shares: false, leftOut: false, rows: 0 }))
    const problems = sense && !sense.ok ? sense.error : []
    show(problems.length > 0 ? problems : await onKeep(read.value))
  })
  return (
    <Paper component="section" sx={{ p: { xs: 2, md: 3 }, maxWidth: 1000, mx: 'auto' }}>
      <Typography variant="h1" gutterBottom>
        {title}
      </Typography>
      <FormProvider {...form}>
        <Box component="form" noValidate onSubmit={(event) => void submit(event)} sx={{ display: 'grid', gap: 2.5 }}>
          <BriefFields />
          <div role="alert">{elsewhere.length > 0 && <Alert severity="error">{elsewhere.map(describeProblem).join('; ')}</Alert>}</div>
          <Box
            sx={{ position: 'sticky', bottom: 0, bgcolor: 'background.paper', py: 1, borderTop: `1px solid ${INK.hairline}`, zIndex: 1 }}
          >
            <Button type="submit" variant="contained" size="large" disabled={form.formState.isSubmitting}>
              {action}
            </Button>
          </Box>
        </Box>
      </FormProvider>
    </Paper>
  )
}

const readNew = (kitchen: string): BriefForm => ({ ...EMPTY, ...readStored(localStorage, placeOf(kitchen)) })

function NewDish() {
  const [params] = useSearchParams()
  const [create] = useCreateServingMutation()
  const navigate = useNavigate()
  const method = METHODS.find((one) => one === params.get('method'))
  const kitchen = useKitchenId()
  const [kept] = useState(() => readNew(kitchen))
  const keepNew = useCallback((form: BriefForm) => localStorage.setItem(placeOf(kitchen), JSON.stringify(form)), [kitchen])
  const onKeep = async (brief: Brief): Promise<readonly Problem[]> => {
    const { data, error } = await create({ brief })
    if (!data) {
      const details = toProblemDetails(error)
      return details && details.problems.length > 0
        ? details.problems
        : [{ path: '', message: details?.detail ?? 'The dish could not be kept. What you typed is still here; try again in a moment.' }]
    }
    localStorage.removeItem(placeOf(kitchen))
    await navigate(`/dishes/${data.id}/line-up`)
    return []
  }
  return (
    <Editor
      initial={method ? { ...kept, method } : kept}
      before={{}}
      title="A new dish"
      action="See who can do it"
      onChange={keepNew}
      onKeep={onKeep}
    />
  )
}

/** The other servings of a dish: what is changed of the dish itself is changed for them too. */
function OtherServings({ servingId }: { readonly servingId: string }) {
  const { data: servings = [] } = useServingsQuery()
  const dishId = servings.find(({ id }) => id === servingId)?.dishId
  const others = servings.filter((one) => one.dishId === dishId && one.id !== servingId)
  if (others.length === 0) return null
  const days = others.map(({ brief }) => (brief.date ? `on ${describeDay(brief.date)}` : 'on a day not set yet'))
  return (
    <Alert severity="info" icon={false} sx={{ maxWidth: 1000, mx: 'auto', mb: 1 }}>
      This dish is also served {joinWords(days)}. Day, covers and who eats are of this serving alone; everything else is of the dish, and
      changes for all of them.
    </Alert>
  )
}

function EditDish({ dish }: { readonly dish: Dish }) {
  const navigate = useNavigate()
  const onKeep = async (brief: Brief): Promise<readonly Problem[]> => {
    dish.edit({ brief })
    await navigate(`/dishes/${dish.id}/line-up`)
    return []
  }
  return (
    <>
      <OtherServings servingId={dish.id} />
      <Editor initial={toForm(dish.brief)} before={dish.brief} title={dish.brief.dish} action="See who can do it" onKeep={onKeep} />
    </>
  )
}

/** The brief: a new dish, or the one in the address. */
export default function BriefPage() {
  const { id } = useParams()
  return id ? <DishGate>{(dish) => <EditDish key={dish.id} dish={dish} />}</DishGate> : <NewDish />
}
