import type { Schemas } from '@/lib/api/client'
import type { Row } from './rows'

/** What the tests of this room begin with. */
export const row = (name: string, change: Partial<Row> = {}): Row => ({
  studentId: name,
  name,
  sittingId: `s-${name}`,
  state: 'open',
  attempt: 1,
  revision: 1,
  at: 'e1',
  cells: {},
  route: ['e1', 'e2'],
  marks: 0,
  of: 0,
  rung: 0,
  extraMinutes: 0,
  held: false,
  dueAt: null,
  call: null,
  openedAt: null,
  stirredAt: null,
  ...change,
})
export const snapshot = (rows: Row[], status = 'open') => ({
  live: 40,
  handout: {
    id: 'h1',
    title: 'Tides',
    classes: ['8 Kestrel'],
    status,
    madeAt: '2026-11-02T09:00:00Z',
    opensAt: null,
    closesAt: null as string | null,
    closedAt: null,
    group: null,
    follows: null,
    edition: 1,
    latest: 1,
  },
  columns: [
    { entry: 'e1', number: 1, title: 'Range', section: 'First look', points: 1, type: 'number' },
    { entry: 'e2', number: 2, title: 'Buoy', section: 'First look', points: 1, type: 'choice' },
  ],
  rows,
  rungs: ['footing', 'climbing', 'clear'],
})

export const wall = (change: Partial<Schemas['LookoutWallView']> = {}): Schemas['LookoutWallView'] => ({
  live: 40,
  title: 'Tides',
  classes: ['8 Kestrel'],
  codes: ['NBZXJ'],
  expected: 28,
  joined: 26,
  done: 3,
  entry: null,
  number: 0,
  prompt: '',
  options: [],
  answered: 0,
  answeredFirst: null,
  byHands: false,
  keyShown: false,
  climb: null,
  ...change,
})
