export { describeMiss } from './describeMiss.ts'
export { describeDay, MONTH_NAMES, nameMonth } from './months.ts'
export {
  ASK_LABEL,
  DIFFERENCE_WORDS,
  FORM_LABEL,
  GATE_LABEL,
  describeBand,
  describeBound,
  describeGrams,
  describeStep,
  describeValue,
} from './words.ts'
