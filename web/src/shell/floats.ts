/** The eight floats of the line, in the order in which buyers decide. */
export interface Float {
  readonly slug: string
  readonly label: string
  /** Letter that follows `g`. */
  readonly key: string
}

export const FLOATS: readonly Float[] = [
  { slug: 'brief', label: 'Brief', key: 'b' },
  { slug: 'line-up', label: 'Line-up', key: 'l' },
  { slug: 'stand-ins', label: 'Stand-ins', key: 's' },
  { slug: 'amounts', label: 'Amounts', key: 'a' },
  { slug: 'counter', label: 'Counter', key: 'c' },
  { slug: 'cold', label: 'Cold', key: 'd' },
  { slug: 'cook', label: 'Cook', key: 'k' },
  { slug: 'house-book', label: 'House book', key: 'h' },
]
export const HOME_FLOAT = '/'
