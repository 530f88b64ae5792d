/** Whoever may be hurt is sent to those who decide. */
export const ADVICE = 'Follow your local authority’s advice.'
