import Alert from '@mui/material/Alert'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Checkbox from '@mui/material/Checkbox'
import FormControlLabel from '@mui/material/FormControlLabel'
import Paper from '@mui/material/Paper'
import Typography from '@mui/material/Typography'
import type { Brief, Method, Problem } from '@tender-gill/contract'
import { ALLERGENS, FORMATS, METHODS } from '@tender-gill/contract/vocabulary'
import { gridCell } from '@tender-gill/core'
import { FORMAT_LABEL, METHOD_LABEL, describeDay, formatTemperature } from '../../reader/index.ts'
import { useCallback, useEffect, useState, type ReactNode } from 'react'
import { Controller, FormProvider, useForm, useFormContext, useWatch } from 'react-hook-form'
import { useNavigate, useParams, useSearchParams } from 'react-router'
import { toProblemDetails, useCreateServingMutation, useKitchenQuery, useServingsQuery } from '../../api/api.ts'
import { useSheet, sitAt, useEngine } from '../../engine/index.ts'
import type { Dish } from '../../state/useDish.ts'
import { INK } from '../../theme.ts'
import { DishGate } from '../../parts/DishGate.tsx'
import { asksRawTreatment, EMPTY, fieldOf, readForm, toForm, type BriefForm } from './briefForm.ts'
import { WatersChoice } from './WatersChoice.tsx'
import { Choice, TextInput, Tick } from './fields.tsx'
import { describeProblem, joinWords } from '../../parts/dishWords.ts'
import { useKitchenId } from '../../kitchen/index.ts'
import { readStored } from '../../state/readStored.ts'

const placeOf = (kitchen: string): string => `tender-gill-new-dish|${kitchen}`

function Group({ title, children }: { readonly title: string; readonly children: ReactNode }) {
  return (
    <Box component="fieldset" sx={{ border: 0, borderTop: `1px solid ${INK.hairline}`, m: 0, p: 0, pt: 1.5, minWidth: 0 }}>
      <Typography component="legend" variant="h2" sx={{ float: 'left', width: '100%', mb: 1.5 }}>
        {title}
      </Typography>
      <Box sx={{ clear: 'both', display: 'flex', flexWrap: 'wrap', gap: 2, alignItems: 'flex-start' }}>{children}</Box>
    </Box>
  )
}

const formatOptions = (method: Method) =>
  FORMATS.filter((format) => gridCell(method, format) !== 'impossible').map(
    (format) => [format, `${FORMAT_LABEL[format]}${gridCell(method, format) === 'odd' ? ' (unusual)' : ''}`] as const,
  )

function Allergies() {
  const { control } = useFormContext<BriefForm>()
  return (
    <Controller
      control={control}
      name="allergies"
      render={({ field: { value, onChange } }) => (
        <Box role="group" aria-label="Allergies">
          {ALLERGENS.map((allergen) => (
            <FormControlLabel
              key={allergen}
              control={
                <Checkbox
                  checked={value.includes(allergen)}
                  onChange={(event) => onChange(event.target.checked ? [...value, allergen] : value.filter((one) => one !== allergen))}
                />
              }
              label={`No ${allergen}`}
            />
          ))}
        </Box>
      )}
    />
  )
}

function Fields() {
  const { control, setValue } = useFormContext<BriefForm>()
  const method = useWatch({ control, name: 'method' })
  const format = useWatch({ control, name: 'format' })
  const options = formatOptions(method)
  useEffect(() => {
    const [first] = options
    if (first && !options.some(([value]) => value === format)) setValue('format', first[0])
  }, [options, format, setValue])
  const { data: kitchen } = useKitchenQuery()
  const date = useWatch({ control, name: 'date' })
  const isPast = kitchen !== undefined && date !== '' && date < kitchen.today
  return (
    <>
      <Group title="The dish">
        <TextInput name="dish" label="What it is called" wide />
        <Choice name="method" label="How it is cooked" options={METHODS.map((one) => [one, METHOD_LABEL[one]])} />
        <Choice name="format" label="Cut" options={options} />
        {format === 'whole' ? (
          <TextInput key="wholeServes" name="wholeServes" label="Eaters a fish" hint="Empty: any size" numeric />
        ) : (
          <TextInput key="thicknessMm" name="thicknessMm" label="Thickness, mm" hint="Empty: as it comes" numeric />
        )}
        {method === 'smoke' && (
          <Choice
            name="smokeHeat"
            label="Smoke"
            options={[
              ['hot', 'hot'],
              ['cold', 'cold'],
            ]}
          />
        )}
        {asksRawTreatment(method) && (
          <Choice
            name="rawTreatment"
            label="Before serving raw"
            options={[
              ['none', 'not frozen'],
              ['frozen', 'frozen by the published rule'],
            ]}
          />
        )}
      </Group>
      <Group title="When, how much, for whom">
        <TextInput name="date" label="Served on" hint={isPast ? 'That day is past' : 'Empty: no day yet'} date />
        <TextInput name="covers" label="Covers" numeric />
        <TextInput name="portionG" label="Portion, g" numeric />
        <Choice
          name="portionBasis"
          label="Weighed"
          options={[
            ['cooked', 'cooked'],
            ['raw', 'raw'],
          ]}
        />
        <TextInput name="children" label="Children under 12" numeric />
        <TextInput name="pregnant" label="Pregnant" numeric />
        <TextInput name="elderly" label="Elderly" numeric />
        <TextInput name="immunocompromised" label="With weak defences" numeric />
        <Box>
          <Tick name="boneShy" label="Shy of bones" />
          <Tick name="newToWholeFish" label="New to whole fish" />
          <Tick name="dislikesStrongFish" label="Dislike strong fish" />
        </Box>
        <Allergies />
      </Group>
      <Group title="Manner">
        <Choice
          name="skin"
          label="Skin"
          options={[
            ['', 'as the house has it'],
            ['any', 'no matter'],
            ['crisp', 'crisp, it is the point'],
            ['off', 'off'],
          ]}
        />
        <Choice
          name="seasoning"
          label="Seasoning"
          options={[
            ['', 'as the house has it'],
            ['balanced', 'balanced'],
            ['gentle', 'gentle: the fish speaks'],
            ['bold', 'bold: strong flavours'],
          ]}
        />
        <Choice
          name="doneness"
          label="Doneness"
          options={[
            ['', 'as the house has it'],
            ['set', `set, ${formatTemperature(63)}`],
            ['moist', 'moist, below'],
          ]}
        />
        <Choice
          name="origin"
          label="Origin"
          options={[
            ['', 'as the house has it'],
            ['any', 'wild or farmed'],
            ['wild', 'wild'],
            ['farmed', 'farmed'],
          ]}
        />
        <Choice
          name="state"
          label="Fresh or frozen"
          options={[
            ['', 'as the house has it'],
            ['any', 'either'],
            ['fresh', 'fresh'],
            ['frozen', 'frozen'],
          ]}
        />
        <Tick name="longCooking" label="Cooks long, or nobody watches it" />
      </Group>
      <Group title="Season">
        <WatersChoice />
      </Group>
      <Group title="Money and waiting">
        <TextInput name="budget" label="Budget a portion" hint="Empty: not asked" numeric />
        <Tick name="budgetMust" label="It is a must" />
        <TextInput name="keepHours" label="Waits, hours" numeric />
        <TextInput name="keepTempC" label="At, °C" hint="Empty: 4" numeric />
      </Group>
    </>
  )
}

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
          <Fields />
          <div role="alert">{elsewhere.length > 0 && <Alert severity="error">{elsewhere.map(describeProblem).join('; ')}</Alert>}</div>
          <Button type="submit" variant="contained" size="large" disabled={form.formState.isSubmitting} sx={{ justifySelf: 'start' }}>
            {action}
          </Button>
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
