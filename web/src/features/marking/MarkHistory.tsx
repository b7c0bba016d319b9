import type { Schemas } from '@/lib/api/client'
import { Fold } from '@/ui/Fold'
import { marks, moment, rational } from '@/lib/format'

const DID: Record<string, string> = {
  hand: 'marked',
  override: 'set by hand',
  'key change': 'a new key',
  'key undo': 'the old key again',
  'mended paper': 'another edition of the paper',
}

/** Who gave this mark, and what it was before. */
export function MarkHistory({ history, worth }: { history: Schemas['MarkingMarkEventView'][]; worth: number }) {
  if (history.length === 0) return null
  const said = (credit: string | null) => (credit === null ? '–' : marks(rational(credit) * worth))
  return (
    <Fold label={`History of this mark, ${history.length}`}>
      <ol className="mt-1 border-t text-[15px]">
        {history.map((line, i) => (
          <li key={i} className="border-b py-1.5">
            <p className="flex gap-2">
              <span className="flex-1">
                {line.after === null && line.kind === 'hand'
                  ? 'mark taken back'
                  : line.after === null
                    ? 'as the machine again'
                    : DID[line.kind]}
              </span>
              <span className="tabular-nums">
                {said(line.before)} →{' '}
                <b>{line.after === null && line.kind === 'override' ? 'machine' : said(line.after)}</b>
              </span>
            </p>
            <p className="text-sm text-quiet">
              {moment(line.at)} by {line.by}
              {line.comment ? ` · “${line.comment}”` : ''}
            </p>
          </li>
        ))}
      </ol>
    </Fold>
  )
}
