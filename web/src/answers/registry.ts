import type { Asked } from '@/lib/condition'
import { hintsOf } from '@/lib/hints'
import { choice } from './choice'
import { expression } from './expression'
import { floor } from './floor'
import { gaps } from './gaps'
import type { Face, Item, ItemType, Kind } from './kinds'
import { match } from './match'
import { number } from './number'
import { open } from './open'
import { order } from './order'
import { plot } from './plot'
import { recording } from './recording'
import { spot } from './spot'
import { table } from './table'
import { text } from './text'
import { upload } from './upload'
import { working } from './working'

/** The one place that lists the types; all else is asked of the kind. */
const KINDS: { [T in ItemType]: Kind<T> } = {
  choice,
  text,
  number,
  expression,
  gaps,
  order,
  match,
  spot,
  plot,
  table,
  open,
  working,
  recording,
  upload,
  floor,
}

export const TYPES = (Object.keys(KINDS) as ItemType[]).map((id) => ({
  id,
  name: KINDS[id].name,
  answer: KINDS[id].answer,
}))

/** The kind of a type; what it takes and gives is of that type, which the caller knows and the compiler cannot. */
export const kindOf = <T extends ItemType>(type: T) => KINDS[type] as unknown as Kind<T>

export const isType = (type: string | undefined): type is ItemType => type !== undefined && type in KINDS
export const typeName = (type: string) => (isType(type) ? KINDS[type].name : type)
export const answerOf = (type: string) => (isType(type) ? KINDS[type].answer : type)
/** Whether a person marks answers of this type. */
export const isByHand = (type: string) => isType(type) && KINDS[type].byHand

/** Whether what was given has to be seen, words being too little. */
export const isDrawn = (type: string) => isType(type) && KINDS[type].drawn === true

/** Whether what was given can be told apart by eye when it is small, so that many are seen at once. */
export const isSmall = (type: string) => isType(type) && KINDS[type].small === true

/** What the checks of a question may ask for, besides what they are typed with. */
export const askedOf = (item: Item): Asked[] => [
  ...(kindOf(item.type).asked?.(item.rule) ?? []),
  ...[1, 2, 3].flatMap((n): Asked[] => [
    { name: `q${n}.answer`, says: `question ${n} of its section`, kind: 'number' },
    { name: `q${n}.text`, says: `question ${n}, as typed`, kind: 'words' },
  ]),
]

/** A new question of a type. */
export const blankItem = <T extends ItemType>(type: T) =>
  ({
    version: 1,
    title: '',
    prompt: '',
    points: '1',
    skill: null,
    hint: '',
    explanation: '',
    type,
    rule: kindOf(type).blank(),
  }) as unknown as Extract<Item, { type: T }>

/** What a student is shown of a question as it stands in the editor. */
export const faceOf = (item: Item) =>
  ({
    type: item.type,
    prompt: item.prompt,
    hints: hintsOf(item).map(() => '0'),
    asksConfidence: item.confidence ?? false,
    asksWorking: item.working ?? false,
    goBack: item.goBack ?? null,
    ...kindOf(item.type).face(item.rule),
  }) as Face

/** Fetches all that is printed, so that a page is whole when it is first drawn. */
export const loadPapers = (types: Iterable<string>) =>
  Promise.all([...new Set(types)].filter(isType).map((type) => kindOf(type).Paper.load()))

/** Fetches all that students answer with, so that a network lost later takes nothing away. */
export const loadInputs = (types: Iterable<string>) =>
  Promise.all(
    [...new Set(types)]
      .filter(isType)
      .map(kindOf)
      .flatMap((kind) => [kind.Input.load(), kind.rest?.(), kind.Given.load()]),
  )
