import type { ReactNode } from 'react'
import { Link } from 'react-router'
import { toWhom, useHandouts, type Handout } from '@/lib/handouts'
import { HANDED_OUT, OF_PAPER, TO_WHOM } from './handoutColumns'
import { ListDesk } from './ListDesk'
import type { Column } from './table'
import { Empty } from './States'

/** Handouts to choose one from, for the stages that show one at a time, with what can be said of it beside. */
export function HandoutPicker({
  title,
  to,
  keep,
  empty,
  columns,
  picks,
  panel,
}: {
  title: string
  to: (h: Handout) => string
  keep: (h: Handout) => boolean
  empty: string
  /** beside its title, its students and when it was handed out */
  columns: readonly Column<Handout>[]
  picks?: readonly { value: string; label: string; of: (h: Handout) => boolean }[]
  panel: (h: Handout) => ReactNode
}) {
  const list = useHandouts()
  return (
    <ListDesk
      title={title}
      label={`Handouts for ${title}`}
      list={{ ...list, data: list.data?.handouts.filter(keep) }}
      first={null}
      words={(h) => `${h.title} ${toWhom(h)}`}
      picks={picks}
      to={to}
      columns={[OF_PAPER, TO_WHOM, ...columns, HANDED_OUT]}
      empty={
        <Empty title={empty}>
          <Link to="/handouts/new" className="font-semibold text-blue underline">
            Hand out a paper
          </Link>
        </Empty>
      }
      panel={panel}
    />
  )
}
