import type { Schemas } from '@/lib/api/client'
import { Button } from '@/ui/Button'
import type { Paper } from './draft'
import { mendOf } from './mends'

/** A defect with the way to its place and, where there is one, a mend in one press, which can be undone like any act. */
export function DefectLine({
  defect,
  paper,
  onGo,
  onChange,
}: {
  defect: Schemas['BankDefectView']
  paper: Paper
  onGo: (where: string) => void
  onChange: (paper: Paper) => void
}) {
  const mend = mendOf(paper, defect)
  return (
    <>
      <button
        type="button"
        className={`min-h-7 text-left hover:underline ${defect.blocks ? 'font-semibold text-bad' : 'text-quiet'}`}
        onClick={() => defect.where && onGo(defect.where)}
      >
        {defect.blocks ? '✕ ' : '○ '}
        {defect.message}
      </button>
      {mend ? (
        <Button kind="quiet" size="small" className="ml-1" onClick={() => onChange(mend.paper)}>
          {mend.label}
        </Button>
      ) : null}
    </>
  )
}
