/** A number as it was typed: nothing, a number within its scale, or why it is none. */
export type Typed =
  { readonly kind: 'none' } | { readonly kind: 'number'; readonly value: number } | { readonly kind: 'wrong'; readonly message: string }

export interface Scale {
  readonly least?: number
  /** More than this, and not this itself. */
  readonly above?: number
  readonly most?: number
  /** Whole numbers alone: a comma or a point between groups of three parts thousands then. */
  readonly whole?: boolean
}

const GROUPS = /^\d{1,3}(?:[.,\u00a0 ]\d{3})+$/

const describeScale = ({ least, above, most, whole }: Scale): string => {
  const what = `${whole ? 'a whole number' : 'a number'}${above === undefined ? '' : ` above ${above}`}`
  if (above !== undefined) return most === undefined ? what : `${what}, to ${most}`
  if (least !== undefined && most !== undefined) return `${what} from ${least} to ${most}`
  if (least !== undefined) return `${what}, ${least} or more`
  return most === undefined ? what : `${what}, ${most} at most`
}

/** Reads a number a person typed, with a comma or a point. The one place where that is done. */
export function readTyped(text: string, scale: Scale = {}): Typed {
  const trimmed = text.trim()
  if (trimmed === '') return { kind: 'none' }
  const plain = scale.whole && GROUPS.test(trimmed) ? trimmed.replaceAll(/[.,\u00a0 ]/g, '') : trimmed.replace(',', '.')
  const value = /^[+-]?(\d+\.?\d*|\.\d+)$/.test(plain) ? Number(plain) : Number.NaN
  const { least = -Infinity, above = -Infinity, most = Infinity, whole = false } = scale
  const fits = Number.isFinite(value) && value >= least && value > above && value <= most && (!whole || Number.isInteger(value))
  return fits ? { kind: 'number', value } : { kind: 'wrong', message: describeScale(scale) }
}

/** The number a person typed, where it is one within its scale; undefined where there is none, or none yet. */
export function typedNumber(text: string, scale: Scale = {}): number | undefined {
  const typed = readTyped(text, scale)
  return typed.kind === 'number' ? typed.value : undefined
}
