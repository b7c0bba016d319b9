import type { Schemas } from '@/lib/api/client'

type ChoiceFace = Schemas['ChoiceFace']
type Step = Schemas['SittingStepView']
type View = Schemas['SittingSittingView']

/** A question as a student sees it: one of two buoys, unless told otherwise. */
export const face = (change: Partial<ChoiceFace> = {}): ChoiceFace => ({
  type: 'choice',
  prompt: '<p>Which buoy?</p>',
  options: [
    { id: 'a', text: '<p>Red</p>' },
    { id: 'b', text: '<p>Green</p>' },
  ],
  several: false,
  hints: [],
  goBack: null,
  asksConfidence: false,
  asksWorking: false,
  ...change,
})

/** A question that asks for a length in metres. */
const numberFace = (change: Partial<Schemas['NumberFace']> = {}): Schemas['NumberFace'] => ({
  type: 'number',
  prompt: '<p>Which buoy?</p>',
  unit: 'm',
  unitUse: 'optional',
  hints: [],
  goBack: null,
  asksConfidence: false,
  asksWorking: false,
  ...change,
})

/** One question of a sitting, open and not yet answered. */
export const step = (number: number, change: Partial<Step> = {}): Step => ({
  entry: `e${number}`,
  try: 1,
  visit: 1,
  number,
  points: '1',
  face: face(),
  isSource: false,
  begins: false,
  beside: [],
  looksAt: null,
  value: null,
  counter: 0,
  open: true,
  settled: false,
  hints: [],
  hintsCost: '0',
  told: null,
  millis: 0,
  confidence: null,
  working: null,
  mended: false,
  corrected: null,
  ...change,
})

/** An open sitting of two questions, a choice and a number. */
export const sitting = (change: Partial<View> = {}): View => ({
  id: 's1',
  handoutId: 'h1',
  title: 'Tides & Charts',
  state: 'open',
  attempt: 1,
  section: 'First look',
  instructions: '',
  visit: 1,
  sources: [],
  steps: [step(1), step(2, { face: numberFace() })],
  at: null,
  mayGoOn: false,
  ended: false,
  settles: false,
  wholePage: false,
  inOrder: false,
  pasting: true,
  needsWorking: false,
  fullScreen: false,
  tools: [],
  coming: '',
  rules: '',
  marks: null,
  of: '2',
  message: '',
  reply: null,
  support: null,
  hold: null,
  secondsLeft: null,
  turn: null,
  call: null,
  notes: [],
  help: null,
  climbs: null,
  handedInAt: null,
  skills: [],
  live: 0,
  ...change,
})
