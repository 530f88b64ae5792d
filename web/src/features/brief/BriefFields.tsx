import Box from '@mui/material/Box'
import Checkbox from '@mui/material/Checkbox'
import FormControlLabel from '@mui/material/FormControlLabel'
import Typography from '@mui/material/Typography'
import type { Method } from '@tender-gill/contract'
import { ALLERGENS, COOKED_COLOURS, FORMATS, METHODS, stylesOf } from '@tender-gill/contract/vocabulary'
import { gridCell, usualFormats } from '@tender-gill/core'
import { useEffect, useRef, type ReactNode } from 'react'
import { Controller, useFormContext, useWatch } from 'react-hook-form'
import { useKitchenQuery } from '../../api/api.ts'
import { FORMAT_LABEL, METHOD_LABEL, STYLE_LABEL } from '../../reader/index.ts'
import { INK } from '../../theme.ts'
import { asksDoneness, asksRawTreatment, asksServedAs, asksWeighing, isCookedLater, type BriefForm } from './briefForm.ts'
import {
  DONENESSES,
  EATEN,
  ORIGINS,
  PARTS,
  SEASONINGS,
  SHELLFISH,
  SKINS,
  SMOKES,
  SPENDS,
  STATES,
  TREATMENTS,
  WATERS,
  WEIGHED,
} from './briefChoices.ts'
import { WatersChoice } from './WatersChoice.tsx'
import { Choice, DayInput, TextInput, Tick } from './fields.tsx'

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

const ALLERGEN_WORDS = { fish: 'fish', crustacean: 'crustaceans', mollusc: 'molluscs' } as const

/** Several of a list, each with its tick. */
function Several({ name, label, options }: SeveralProps) {
  const { control } = useFormContext<BriefForm>()
  return (
    <Controller
      control={control}
      name={name}
      render={({ field: { value, onChange } }) => {
        const chosen: readonly string[] = value
        return (
          <Box role="group" aria-label={label} sx={{ width: '100%', display: 'flex', flexWrap: 'wrap', alignItems: 'center' }}>
            <Typography aria-hidden color="text.secondary" sx={{ mr: 1.5, minWidth: 150 }}>
              {label}
            </Typography>
            {options.map(([option, words]) => (
              <FormControlLabel
                key={option}
                control={
                  <Checkbox
                    checked={chosen.includes(option)}
                    onChange={(event) => onChange(event.target.checked ? [...chosen, option] : chosen.filter((one) => one !== option))}
                  />
                }
                label={words}
              />
            ))}
          </Box>
        )
      }}
    />
  )
}
interface SeveralProps {
  readonly name: 'allergies' | 'shellfish' | 'colours'
  readonly label: string
  readonly options: readonly (readonly [value: string, words: string])[]
}

/** The fields of a brief, in the order in which a cook thinks of them. */
export function BriefFields() {
  const { control, setValue } = useFormContext<BriefForm>()
  const method = useWatch({ control, name: 'method' })
  const format = useWatch({ control, name: 'format' })
  const smokeHeat = useWatch({ control, name: 'smokeHeat' })
  const style = useWatch({ control, name: 'style' })
  const children = useWatch({ control, name: 'children' })
  const pregnant = useWatch({ control, name: 'pregnant' })
  const spend = useWatch({ control, name: 'spend' })
  const colours = useWatch({ control, name: 'colours' })
  const styles = stylesOf(method)
  const options = formatOptions(method)
  useEffect(() => {
    const own = stylesOf(method)
    if (style === '' ? own.length > 0 : !own.includes(style)) setValue('style', own[0] ?? '')
  }, [method, style, setValue])
  // Fish salted for keeping is soaked and cooked, lean smoked fish poached: that is said with the style, and may be changed.
  const styleBefore = useRef(style)
  useEffect(() => {
    if (styleBefore.current === style) return
    styleBefore.current = style
    setValue('servedAs', isCookedLater(style) ? 'cooked' : 'raw')
  }, [style, setValue])
  // Another way of cooking brings its own cut, unless what stands there is usual for it too; what cannot be cut for it never stays.
  const before = useRef(method)
  useEffect(() => {
    const usual = usualFormats(method)
    const changed = before.current !== method
    before.current = method
    const stays = changed ? usual.includes(format) : gridCell(method, format) !== 'impossible'
    if (!stays && usual[0]) setValue('format', usual[0])
  }, [method, format, setValue])
  const { data: kitchen } = useKitchenQuery()
  const date = useWatch({ control, name: 'date' })
  const isPast = kitchen !== undefined && date !== '' && date < kitchen.today
  return (
    <>
      <Group title="The dish">
        <TextInput name="dish" label="What it is called" wide />
        <Choice name="method" label="How it is cooked" options={METHODS.map((one) => [one, METHOD_LABEL[one]])} />
        {styles.length > 0 && <Choice name="style" label="Style" options={styles.map((one) => [one, STYLE_LABEL[one]])} />}
        <Choice name="format" label="Cut" options={options} />
        {format === 'whole' ? (
          <TextInput key="wholeServes" name="wholeServes" label="Eaters a fish" hint="Empty: any size" numeric />
        ) : (
          <TextInput key="thicknessMm" name="thicknessMm" label="Thickness, mm" hint="Empty: as it comes" numeric />
        )}
        {method === 'smoke' && <Choice name="smokeHeat" label="Smoke" options={SMOKES} />}
        {asksServedAs({ method, smokeHeat }) && <Choice name="servedAs" label="Eaten" options={EATEN} />}
        {asksRawTreatment(method) && <Choice name="rawTreatment" label="Before serving raw" options={TREATMENTS} />}
      </Group>
      <Group title="When, how much, for whom">
        <DayInput name="date" label="Served on" hint={isPast ? 'That day is past' : 'Empty: no day yet'} />
        <TextInput name="covers" label="Covers" numeric />
        <TextInput name="portionG" label="Portion, g" numeric />
        {asksWeighing(method) && <Choice name="portionBasis" label="Weighed" options={WEIGHED} />}
        <TextInput name="children" label="Children under 12" numeric />
        <TextInput name="pregnant" label="Pregnant" numeric />
        <TextInput name="elderly" label="Elderly" numeric />
        <TextInput name="immunocompromised" label="Weakened immunity" numeric />
        {(children.trim() !== '' || pregnant.trim() !== '') && (
          <TextInput name="portionsAWeek" label="Portions a week" hint="Empty: one" numeric />
        )}
        <Box>
          <Tick name="boneShy" label="Afraid of bones" />
          <Tick name="newToWholeFish" label="First whole fish" />
          <Tick name="dislikesStrongFish" label="Dislike strong fish" />
          <Tick name="finsAndScales" label="Only with fins and scales" />
        </Box>
        <Several name="allergies" label="Allergic to" options={ALLERGENS.map((allergen) => [allergen, ALLERGEN_WORDS[allergen]])} />
      </Group>
      <Group title="Manner">
        <Choice name="skin" label="Skin" options={SKINS} />
        <Choice name="seasoning" label="Seasoning" options={SEASONINGS} />
        {asksDoneness(method) && <Choice name="doneness" label="Doneness" options={DONENESSES} />}
        <Choice name="origin" label="Origin" options={ORIGINS} />
        <Choice name="state" label="Fresh or frozen" options={STATES} />
        <Choice name="habitat" label="From" options={WATERS} />
        <Choice name="part" label="Part" options={PARTS} />
        <Several name="colours" label="Colour of the flesh" options={COOKED_COLOURS.map((colour) => [colour, colour])} />
        {colours.length > 0 && <Tick name="coloursMust" label="No other colour" />}
        <Several name="shellfish" label="Also" options={SHELLFISH} />
        <Tick name="longCooking" label="Cooks long, or nobody watches it" />
      </Group>
      <Group title="Season">
        <WatersChoice />
      </Group>
      <Group title="Money and waiting">
        <Choice name="spend" label="What it may cost" options={SPENDS} />
        {spend !== 'any' && <Tick name="spendMust" label="No dear fish at all" />}
        <TextInput name="budget" label="Budget a portion" hint="Empty: not asked" numeric />
        <Tick name="budgetMust" label="It is a must" />
        <TextInput name="menuPrice" label="On the menu for" hint="A portion; asks nothing of the fish" numeric />
        <TextInput name="keepHours" label="Hours it waits before cooking" numeric />
        <TextInput name="keepTempC" label="Waits at, °C" hint="Empty: 4" numeric />
      </Group>
    </>
  )
}
