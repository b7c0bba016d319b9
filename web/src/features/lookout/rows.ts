import type { Schemas } from '@/lib/api/client'
import type { BarCode } from '@/ui/Bar'

export type Row = Schemas['LookoutRowView']
export type Sort = 'name' | 'credit' | 'progress' | 'speed' | 'silence' | 'calls'

/** Puts a changed row into the picture; an older message than what is shown changes nothing. */
export function merged(rows: Row[], next: Row): Row[] {
  return rows.map((row) =>
    row.studentId === next.studentId &&
    (next.attempt > row.attempt || (next.attempt === row.attempt && next.revision >= row.revision))
      ? next
      : row,
  )
}

export const answered = (row: Row) => Object.values(row.cells).filter((cell) => cell.code !== 'blank').length

/** A number for each student, drawn by chance, so that it says nothing about the name. */
export function aliases(rows: Row[], chance = Math.random): ReadonlyMap<string, number> {
  const drawn = rows
    .map((row) => ({ id: row.studentId, at: chance() }))
    .sort((a, b) => a.at - b.at)
    .map(({ id }, i) => [id, i + 1] as const)
  return new Map(drawn)
}

/** In the order asked for. Where names are hidden their order goes by the drawn numbers, or it would tell them. */
export function sorted(rows: Row[], by: Sort, hidden: ReadonlyMap<string, number> | null = null): Row[] {
  const place = (row: Row) => hidden?.get(row.studentId) ?? rows.length + 1
  const share = (row: Row) => (row.of > 0 ? row.marks / row.of : -1)
  const order: Record<Sort, (a: Row, b: Row) => number> = {
    name: () => 0,
    credit: (a, b) => share(b) - share(a),
    speed: (a, b) => speed(b) - speed(a),
    calls: (a, b) => called(a) - called(b),
    // Whoever has entered nothing for longest first; those who are done have nothing to enter.
    silence: (a, b) => still(a) - still(b),
    progress: (a, b) => answered(b) - answered(a) || Number(b.state !== 'expected') - Number(a.state !== 'expected'),
  }
  const start = hidden ? [...rows].sort((a, b) => place(a) - place(b)) : [...rows]
  return start.sort(order[by])
}

/** How the answer in one place of the picture stands. A blank that is being looked at is not left blank yet. */
export function codeAt(row: Row, entry: string): BarCode {
  const cell = row.cells[entry]
  if (!cell || (cell.code === 'blank' && isHere(row, entry))) return 'none'
  return cell.code as BarCode
}

/** Whether an open sitting is at this question now. */
export const isHere = (row: Row, entry: string) => row.state === 'open' && row.at === entry

/** Asks for the teacher. */
export const calling = (row: Row) => row.call !== null

/** Answers a minute, from when they began to when they last entered something; below 0 where there is none. */
function speed(row: Row): number {
  if (!row.openedAt || !row.stirredAt || answered(row) === 0) return -1
  const minutes = (Date.parse(row.stirredAt) - Date.parse(row.openedAt)) / 60_000
  return answered(row) / Math.max(minutes, 1 / 60)
}

/** Whoever has waited longest first; at the end whoever asks for nothing. */
const called = (row: Row) => (row.call ? Date.parse(row.call.madeAt) : Number.MAX_SAFE_INTEGER)

/** Since when nothing has been entered; at the end whoever is not at work. */
const still = (row: Row) =>
  row.state === 'open' && row.stirredAt ? Date.parse(row.stirredAt) : Number.MAX_SAFE_INTEGER

/** "Silent": expected and not here, or here with nothing answered. */
export const silent = (row: Row) => row.state === 'expected' || (row.state === 'open' && answered(row) === 0)
