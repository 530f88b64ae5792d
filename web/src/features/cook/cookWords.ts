import type { Cook, CookedStage, CookMedium, CookStage, PrepareWindow, Range } from '@tender-gill/contract'
import { formatMass, formatTemperature, reader, terms } from '../../reader/index.ts'

/** Minutes as a cook says them: halves below ten, whole above, hours beyond two. */
export function sayMinutes(minutes: number): string {
  if (minutes >= 120) {
    const hours = Math.round(minutes / 30) / 2
    return `${Math.floor(hours)}${hours % 1 ? '½' : ''} h`
  }
  if (minutes >= 10) return `${Math.round(minutes)} min`
  const halves = Math.max(1, Math.round(minutes * 2))
  return `${halves >= 2 ? Math.floor(halves / 2) : ''}${halves % 2 ? '½' : ''} min`
}
/** "9 to 13 min": never a bare minute. */
export function sayRange({ low, high }: Pick<Range, 'low' | 'high'>): string {
  const [from, to] = [sayMinutes(low), sayMinutes(high)]
  if (from === to) return `about ${to}`
  const [figure, unit] = [from.slice(0, from.lastIndexOf(' ')), from.slice(from.lastIndexOf(' '))]
  return to.endsWith(unit) ? `${figure} to ${to}` : `${from} to ${to}`
}

export const nameMedium = (medium: CookMedium): string => terms.medium[medium]
const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1)

/** A stage on its bar: what it is, how hot, and what lies on the heat. */
export function sayStage({ medium, celsius, face, rest }: CookedStage): string {
  const name = capital(nameMedium(medium))
  if (rest) return name
  const side = face === 'skin' ? ', skin down' : face === 'flesh' ? ', flesh down' : ''
  return `${name}, ${formatTemperature(celsius)}${side}`
}

/** Stages as they can be asked for again: everything as it came out, with the open minutes open. */
export const toAsked = (stages: readonly CookedStage[]): readonly CookStage[] => {
  const heated = stages.filter(({ rest }) => !rest)
  const all = heated.at(-1)?.toMinutes ?? 1
  return stages.map(({ medium, celsius, fromMinutes, toMinutes, turned, rest }) => ({
    medium,
    ...(rest ? {} : { celsius, share: Math.round((1000 * (toMinutes - fromMinutes)) / all) / 1000 }),
    ...(turned && { turned }),
  }))
}

/** How the minutes are read: what they are for, and where they come to. */
export const sayHeadline = ({ pull }: Pick<Cook, 'pull'>): string =>
  `Out after ${sayRange(pull.minutes)}, at ${formatTemperature(Math.round(pull.coreC))} in the middle`

/** Salt to weigh out for a weight of fish, or for a litre of water; a quart is near enough one. */
export function saySalt({ salt }: Pick<PrepareWindow, 'salt'>, fishG: number): string | null {
  if (!salt) return null
  if (salt.to === 'litre') return `${formatMass(salt.g)} of salt in a ${reader.units === 'us' ? 'quart' : 'litre'} of water`
  return `${formatMass((salt.g * fishG) / 100)} of salt for ${formatMass(fishG)} of fish`
}
