import { moment } from '@/lib/format'
import { toWhom, type Handout } from '@/lib/handouts'
import type { Column } from './table'

/** What every list of handouts tells of one: of which paper it is, to whom it went, and when. */
export const OF_PAPER: Column<Handout> = { id: 'title', head: 'Paper', cell: (h) => h.title, sort: (h) => h.title }
export const TO_WHOM: Column<Handout> = { id: 'to', head: 'To', cell: toWhom, sort: toWhom, wide: true }
export const HANDED_OUT: Column<Handout> = {
  id: 'made',
  head: 'Handed out',
  cell: (h) => <span className="whitespace-nowrap text-quiet">{moment(h.madeAt)}</span>,
  sort: (h) => h.madeAt,
  wide: true,
}
