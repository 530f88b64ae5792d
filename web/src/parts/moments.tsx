import { AdapterDayjs } from '@mui/x-date-pickers/AdapterDayjs'
import { DatePicker } from '@mui/x-date-pickers/DatePicker'
import { LocalizationProvider } from '@mui/x-date-pickers/LocalizationProvider'
import { TimePicker } from '@mui/x-date-pickers/TimePicker'
import dayjs, { type Dayjs } from 'dayjs'
import 'dayjs/locale/en-gb'
import customParseFormat from 'dayjs/plugin/customParseFormat'
import { useState, type ReactNode } from 'react'
import { reader } from '../reader/index.ts'

dayjs.extend(customParseFormat)

const US = reader.units === 'us'
const LOCALE = US ? 'en' : 'en-gb'
const ISO_DAY = 'YYYY-MM-DD'
const MONTH_DAY = 'MM-DD'
const HOUR = 'HH:mm'
/** A month and a day need some year to stand in: one that has a 29 February. */
const LEAP_YEAR = '2024'

/** What an empty field shows of each part. */
const EMPTY = {
  fieldDayPlaceholder: () => 'day',
  fieldMonthPlaceholder: () => 'month',
  fieldYearPlaceholder: () => 'year',
  fieldHoursPlaceholder: () => 'hh',
  fieldMinutesPlaceholder: () => 'mm',
}

interface FieldProps {
  readonly label: string
  /** As it is kept; empty where nothing is said. */
  readonly value: string
  readonly onChange: (value: string) => void
  readonly problem?: string | undefined
  readonly hint?: string | undefined
  readonly width?: number | string
  readonly size?: 'small' | 'medium'
}

/** What stands in a field while it is typed: half a date is no date, and is not lost either. */
function useTyped({ value, onChange }: FieldProps, read: (value: string) => Dayjs | null, write: (moment: Dayjs) => string) {
  const [typed, setTyped] = useState({ of: value, moment: read(value) })
  const moment = typed.of === value ? typed.moment : read(value)
  return {
    moment,
    change: (next: Dayjs | null) => {
      if (next !== null && !next.isValid()) return setTyped({ of: value, moment: next })
      const written = next === null ? '' : write(next)
      setTyped({ of: written, moment: next })
      return onChange(written)
    },
  }
}

const WithLocale = ({ children }: { readonly children: ReactNode }) => (
  <LocalizationProvider dateAdapter={AdapterDayjs} adapterLocale={LOCALE} localeText={EMPTY}>
    {children}
  </LocalizationProvider>
)

const textField = ({ problem, hint, width, size = 'small' }: FieldProps) => ({
  size,
  error: problem !== undefined,
  helperText: problem ?? hint,
  sx: { width: width ?? 200 },
})

const readDay = (value: string): Dayjs | null => (value === '' ? null : dayjs(value, ISO_DAY, true))

/** A day, chosen or typed as people here write it. Kept as `YYYY-MM-DD`; empty where none is said. */
export function DayField(props: FieldProps & { readonly required?: boolean }) {
  const { moment, change } = useTyped(props, readDay, (day) => day.format(ISO_DAY))
  return (
    <WithLocale>
      <DatePicker
        label={props.label}
        value={moment}
        onChange={change}
        format={US ? 'MMM D, YYYY' : 'D MMM YYYY'}
        slotProps={{ textField: textField(props), field: { clearable: props.required !== true } }}
      />
    </WithLocale>
  )
}

/** A day of any year, kept as `MM-DD`. */
export function MonthDayField(props: FieldProps) {
  const read = (value: string) => readDay(value === '' ? '' : `${LEAP_YEAR}-${value}`)
  const { moment, change } = useTyped(props, read, (day) => day.format(MONTH_DAY))
  return (
    <WithLocale>
      <DatePicker
        label={props.label}
        value={moment}
        onChange={change}
        format={US ? 'MMMM D' : 'D MMMM'}
        views={['month', 'day']}
        minDate={dayjs(`${LEAP_YEAR}-01-01`)}
        maxDate={dayjs(`${LEAP_YEAR}-12-31`)}
        slotProps={{ textField: textField(props), calendarHeader: { format: 'MMMM' } }}
      />
    </WithLocale>
  )
}

/** An hour of the day, kept as `HH:MM`. */
export function HourField(props: FieldProps) {
  const read = (value: string) => (value === '' ? null : dayjs(value, HOUR, true))
  const { moment, change } = useTyped(props, read, (hour) => hour.format(HOUR))
  return (
    <WithLocale>
      <TimePicker
        label={props.label}
        value={moment}
        onChange={change}
        ampm={US}
        minutesStep={5}
        slotProps={{ textField: { ...textField(props), sx: { width: props.width ?? 140 } } }}
      />
    </WithLocale>
  )
}
