import { part } from './part'

/** The types whose answer fits in one field, for what is made of several: gaps in a passage, cells of a table. */
const FIELDS = {
  text: { answer: 'words', Editor: part(() => import('../text/Editor')) },
  number: { answer: 'a number', Editor: part(() => import('../number/Editor')) },
  expression: { answer: 'an expression', Editor: part(() => import('../expression/Editor')) },
  choice: { answer: 'picked', Editor: part(() => import('../choice/Editor')) },
}
type Field = keyof typeof FIELDS

export const fieldAnswer = (type: Field) => FIELDS[type].answer

/** What else one field takes beyond its first answer. */
export function FieldRule<R>({ of, onChange }: { of: { type: Field; rule: R }; onChange: (rule: R) => void }) {
  // The rule is of the type that is named beside it, which the compiler cannot know.
  const Editor = FIELDS[of.type].Editor as unknown as (props: {
    rule: R
    onChange: (rule: R) => void
  }) => React.ReactNode
  return <Editor rule={of.rule} onChange={onChange} />
}
