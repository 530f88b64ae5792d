/** The eight floats of the line, in the order in which buyers decide. */
export interface Float {
  readonly slug: string
  readonly label: string
  /** Letter that follows `g`. */
  readonly key: string
  readonly built: boolean
  /** What a float not built yet will do. */
  readonly will: string
}

export const FLOATS: readonly Float[] = [
  { slug: 'brief', label: 'Brief', key: 'b', built: true, will: '' },
  { slug: 'line-up', label: 'Line-up', key: 'l', built: true, will: '' },
  { slug: 'stand-ins', label: 'Stand-ins', key: 's', built: true, will: '' },
  { slug: 'amounts', label: 'Amounts', key: 'a', built: true, will: '' },
  { slug: 'counter', label: 'Counter', key: 'c', built: true, will: '' },
  { slug: 'cold', label: 'Cold', key: 'd', built: true, will: '' },
  {
    slug: 'cook',
    label: 'Cook',
    key: 'k',
    built: true,
    will: '',
  },
  { slug: 'house-book', label: 'House book', key: 'h', built: true, will: '' },
]
export const HOME_FLOAT = '/'
