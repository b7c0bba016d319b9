import type { ReactNode } from 'react'
import type { Schemas } from '@/lib/api/client'
import type { Asked } from '@/lib/condition'

export type Item = Schemas['Item']
export type ItemType = Item['type']
export type Face = Schemas['Face']
export type Value = Schemas['Response']
export type RuleOf<T extends ItemType> = Extract<Item, { type: T }>['rule']
type FaceOf<T extends ItemType> = Extract<Face, { type: T }>
/** What the types differ in of a face. */
type FaceMembers<T extends ItemType> = Omit<
  FaceOf<T>,
  'type' | 'prompt' | 'hints' | 'asksConfidence' | 'asksWorking' | 'goBack'
>

/** One line of a key: what is given, what it earns, what it shows. */
export type KeyLine = {
  /** As rules and records name it: an option id, `form 2`, `target 1`. */
  line: string
  mark: string
  /** HTML where `rich`. */
  text: string
  rich: boolean
  credit: string
  isKey: boolean
  misconception: string | null
  feedback: string
  /** Students see it before they answer. */
  shown: boolean
}

export type EditorProps<T extends ItemType> = { rule: RuleOf<T>; onChange: (rule: RuleOf<T>) => void }
export type InputProps<T extends ItemType> = {
  face: FaceOf<T>
  value: Value | null
  onChange: (value: Value) => void
  disabled: boolean
  /** What is answered, as a label goes on: "question 3". */
  heading: string
}
export type GivenProps<T extends ItemType> = { face: FaceOf<T>; value: Value | null }
export type PaperProps<T extends ItemType> = {
  rule: RuleOf<T>
  withKey: boolean
  /** on a sheet of its own, with the question elsewhere: only what is filled in */
  brief?: boolean
}

/** A component that is fetched when it is first needed. */
export type Part<P> = ((props: P) => ReactNode) & { load: () => Promise<unknown> }

/** All that the screens need to know of one type of answer. */
export type Kind<T extends ItemType> = {
  name: string
  /** How it is answered, as a list says it: “picked”, “a number”. */
  answer: string
  /** A new rule with the fewest lines that make sense. No key is preset: its writer names it. */
  blank: () => RuleOf<T>
  /** What a student would be shown to answer with, as far as the rule says it. */
  face: (rule: RuleOf<T>) => FaceMembers<T>
  keyLines: (rule: RuleOf<T>) => KeyLine[]
  /** What a person marks by; none where a machine checks. */
  criteria: (rule: RuleOf<T>) => Schemas['Criterion'][]
  /** Marked by a person. */
  byHand: boolean
  /** What was given is more than words: a picture, a drawing, a file. */
  drawn?: boolean
  /** What was given can be told apart by eye when it is small. */
  small?: boolean
  /** Picked or laid out by hand: how it was read would only say it again, in the rule's own letters. */
  asGiven?: boolean
  /** What taking an answer into the key does, and whether it may earn a part; null where there is no key. */
  accepting: { says: string; inPart: boolean } | null
  /** An answer from one typed line, for a teacher who tries out many; none where an answer is no line. */
  fromLine?: (rule: RuleOf<T>, line: string) => Value | null
  /** What a check may ask for by parts; what is left out is typed. */
  asked?: (rule: RuleOf<T>) => Asked[]
  Editor: Part<EditorProps<T>>
  Input: Part<InputProps<T>>
  /** What fits where it is answered on a page, for types that can be answered so. */
  Small?: Part<InputProps<T>>
  /** Fetches what only some inputs of the type are made of. */
  rest?: () => Promise<unknown>
  Given: Part<GivenProps<T>>
  Paper: Part<PaperProps<T>>
}
