import type { Schemas } from '@/lib/api/client'

/** From when on students are told what. */
export type Tells = Schemas['Conditions']['feedback']

const RETURNED: Tells = {
  verdict: 'returned',
  feedback: 'returned',
  marks: 'returned',
  key: 'returned',
  workedAnswer: 'returned',
  classPicture: 'never',
}
const all = (moment: Exclude<Tells['verdict'], 'closed'>): Tells => ({
  verdict: moment,
  feedback: moment,
  marks: moment,
  key: moment,
  workedAnswer: moment,
  classPicture: 'never',
})
/** Right or wrong and feedback as soon as an answer is settled. */
export const RIGHT_AT_ONCE: Tells = { ...RETURNED, verdict: 'at once', feedback: 'at once' }

/** The plans that every team has; beside them stand those that it keeps itself. */
export const GIVEN_PLANS = [
  {
    id: 'on return',
    name: 'All on return',
    note: 'Marks, feedback and keys when you give the work back.',
    tells: RETURNED,
  },
  {
    id: 'at once',
    name: 'Right or wrong at once',
    note: 'Each answer is settled when it is given; keys stay hidden until return.',
    tells: RIGHT_AT_ONCE,
  },
  {
    id: 'feedback first',
    name: 'Feedback first',
    note: 'Feedback when each hands in, marks when all are done, keys when you give the work back.',
    tells: { ...RETURNED, verdict: 'handed in', feedback: 'handed in', marks: 'closed' },
  },
  {
    id: 'after hand-in',
    name: 'All after handing in',
    note: 'Keys are out as soon as the first student has handed in.',
    tells: all('handed in'),
  },
  { id: 'nothing', name: 'Nothing', note: 'No marks, feedback or keys, not even on return.', tells: all('never') },
] as const satisfies readonly { id: string; name: string; note: string; tells: Tells }[]

/** How a paper is given when nothing else is asked for. */
export const PLAIN_CONDITIONS: Schemas['Conditions'] = {
  attempts: 1,
  counts: 'best',
  shuffleQuestions: false,
  shuffleOptions: true,
  feedback: RETURNED,
  minutes: null,
  wholePage: false,
  inOrder: false,
  pasting: true,
  inRoom: false,
  needsWorking: false,
  fullScreen: false,
  secondsEach: null,
  tools: [],
}

/** In which manner the questions are met. */
export const MANNERS = [
  { value: 'one', label: 'One at a time', note: 'With a way back to each until the part is left.' },
  { value: 'page', label: 'Whole pages, as a worksheet', note: 'Pages begin where the paper says so.' },
  {
    value: 'order',
    label: 'One after the other, no way back',
    note: 'An answer is final when the student goes on.',
  },
] as const
export type Manner = (typeof MANNERS)[number]['value']

export const mannerOf = ({ wholePage, inOrder }: { wholePage: boolean; inOrder: boolean }): Manner =>
  wholePage ? 'page' : inOrder ? 'order' : 'one'
export const inManner = (manner: Manner) => ({ wholePage: manner === 'page', inOrder: manner === 'order' })

/** What students may be offered beside the questions. */
export const TOOLS = [
  { tool: 'calculator', label: 'A calculator beside the questions' },
  { tool: 'rough paper', label: 'Rough paper beside the questions; it is not handed in' },
] as const

/** How much time students have, in words. */
export const timeInWords = ({ minutes, secondsEach }: { minutes: number | null; secondsEach: number | null }) =>
  [
    minutes === null ? '' : `${minutes} minutes each`,
    secondsEach === null ? '' : `${secondsEach} seconds for each question`,
  ]
    .filter(Boolean)
    .join(', ') || 'not limited'
