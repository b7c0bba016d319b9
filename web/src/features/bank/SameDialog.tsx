import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { api, take } from '@/lib/api/client'
import { inMarks, percent, plural } from '@/lib/format'
import { ask } from '@/lib/queries'
import { Rich } from '@/lib/Rich'
import { Button } from '@/ui/Button'
import { Dialog } from '@/ui/Dialog'
import { Radios } from '@/ui/Radios'
import { Failed, Loading } from '@/ui/States'

/** Two questions that are the same: the one that stays stands for both. */
export function SameDialog({
  ids,
  onClose,
  onSame,
}: {
  ids: readonly [string, string]
  onClose: () => void
  /** `gone` is put together with `kept`: the act itself, and their titles */
  onSame: (act: Promise<unknown>, gone: { id: string; title: string }, kept: string) => void
}) {
  const one = useQuery(ask.item(ids[0]))
  const two = useQuery(ask.item(ids[1]))
  const [kept, setKept] = useState<string | null>(null)
  const both = one.data && two.data ? [one.data, two.data] : null
  // Unless said otherwise, the one that more students have answered.
  const stays = kept ?? (both && (both[1]?.record.students ?? 0) > (both[0]?.record.students ?? 0) ? ids[1] : ids[0])
  const goes = stays === ids[0] ? ids[1] : ids[0]
  const titleOf = (id: string) => both?.[id === ids[0] ? 0 : 1]?.item.title || 'Untitled'
  return (
    <Dialog
      open
      wide
      onClose={onClose}
      title="These two are the same"
      foot={
        <Button
          kind="do"
          disabled={!both}
          onClick={() => {
            const act = take(
              api.PUT('/api/items/{id}/part-of', { params: { path: { id: goes } }, body: { into: stays } }),
            )
            onSame(act, { id: goes, title: titleOf(goes) }, titleOf(stays))
            onClose()
          }}
        >
          Keep one of them
        </Button>
      }
    >
      {one.error || two.error ? <Failed error={one.error ?? two.error} /> : null}
      {both ? (
        <>
          <Radios
            label="Which one stays"
            sideBySide
            value={stays}
            onChange={setKept}
            options={both.map((view, i) => ({
              value: ids[i] ?? '',
              label: view.item.title || 'Untitled',
              aside: inMarks(view.item.points),
              note: (
                <>
                  <Rich html={view.item.prompt} />
                  <span className="block pt-1 text-sm text-quiet">
                    {view.record.facility === null
                      ? 'not sat yet'
                      : `${percent(view.record.facility)} right of ${plural(view.record.students, 'student')}`}
                    {view.papers.length > 0 ? `; in ${view.papers.join(', ')}` : '; in no paper'}
                  </span>
                </>
              ),
            }))}
          />
          <p className="mt-3 text-[15px]">
            “{titleOf(goes)}” leaves the bank, and drafts of papers take “{titleOf(stays)}” instead. Published papers
            keep what they have; from now on the record of the one that stays counts both.
          </p>
          <p className="mt-1 text-[15px] text-quiet">
            Bring it back from what was archived, and it stands for itself again.
          </p>
        </>
      ) : one.error || two.error ? null : (
        <Loading what="Reading the two" />
      )}
    </Dialog>
  )
}
