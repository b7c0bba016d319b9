import { useMutation } from '@tanstack/react-query'
import { useMemo, useState } from 'react'
import { api, take, type Schemas } from '@/lib/api/client'
import { marks, plural } from '@/lib/format'
import { Button } from '@/ui/Button'
import { CountField } from '@/ui/CountField'
import { Dialog } from '@/ui/Dialog'
import { TextField } from '@/ui/Field'
import { SelectField } from '@/ui/Select'
import { FaultLine } from '@/ui/States'

type Line = Required<Schemas['PaperOnPaperLineInput']> & { key: number }

const KINDS = [
  { value: 'choice', label: 'a letter' },
  { value: 'number', label: 'a number' },
  { value: 'text', label: 'a word or two' },
] as const
const MOST = 100

/** A quiz whose questions stand on a sheet: how many there are, what is entered for each, and for how many marks. */
export function OnPaperDialog({ onMade, onClose }: { onMade: (edition: string) => void; onClose: () => void }) {
  const [title, setTitle] = useState('')
  const [lines, setLines] = useState<Line[]>([{ key: 0, count: 10, kind: 'choice', options: 4, points: '1' }])
  // Another sheet is another request: only the same one, sent again, is made once.
  const body = useMemo(
    () => ({
      title: title.trim(),
      lines: lines.map(({ count, kind, options, points }) => ({ count, kind, options, points })),
      requestId: crypto.randomUUID(),
    }),
    [title, lines],
  )
  const make = useMutation({
    mutationFn: () => take(api.POST('/api/papers/on-paper', { body })),
    onSuccess: (paper) => onMade(paper.editionId ?? ''),
  })
  const put = (key: number, change: Partial<Line>) =>
    setLines((old) => old.map((line) => (line.key === key ? { ...line, ...change } : line)))
  const count = lines.reduce((sum, line) => sum + line.count, 0)
  const total = lines.reduce((sum, line) => sum + line.count * (Number(line.points) || 0), 0)
  let from = 1
  return (
    <Dialog
      open
      wide
      onClose={onClose}
      title="Questions on paper"
      foot={
        <>
          <span className="mr-auto self-center text-[15px] text-quiet tabular-nums">
            {plural(count, 'question')}, {marks(total)} {total === 1 ? 'mark' : 'marks'}
          </span>
          <Button kind="do" disabled={make.isPending || count > MOST} onClick={() => make.mutate()}>
            Make it and hand it out
          </Button>
        </>
      }
    >
      <form
        className="flex flex-col gap-4"
        onSubmit={(e) => {
          e.preventDefault()
          make.mutate()
        }}
      >
        <p className="text-[15px] text-quiet">
          The class holds the questions in its hands; on their devices they enter the answers. You give the key
          afterwards, or question by question in front of them.
        </p>
        <TextField
          label="Name"
          maxLength={120}
          autoFocus
          value={title}
          onChange={(e) => setTitle(e.target.value)}
          placeholder="such as: Friday sheet, tides"
        />
        <ol className="flex flex-col gap-3">
          {lines.map((line) => {
            const first = from
            from += line.count
            return (
              <li key={line.key} className="flex flex-wrap items-end gap-3 border-t pt-3">
                <span className="w-20 pb-2 text-quiet tabular-nums">
                  {line.count === 1 ? first : `${first} to ${from - 1}`}
                </span>
                <div className="w-24">
                  <CountField
                    label="Questions"
                    most={MOST}
                    value={line.count}
                    onChange={(n) => put(line.key, { count: n })}
                  />
                </div>
                <SelectField
                  label="Each wants"
                  wide={false}
                  value={line.kind as (typeof KINDS)[number]['value']}
                  onChange={(kind) => put(line.key, { kind })}
                  options={KINDS}
                />
                {line.kind === 'choice' ? (
                  <div className="w-24">
                    <CountField
                      label="Letters"
                      least={2}
                      most={8}
                      value={line.options}
                      onChange={(options) => put(line.key, { options })}
                    />
                  </div>
                ) : null}
                <div className="w-24">
                  <TextField
                    label="Marks each"
                    inputMode="decimal"
                    value={line.points}
                    onChange={(e) => put(line.key, { points: e.target.value.trim() })}
                  />
                </div>
                {lines.length > 1 ? (
                  <Button kind="quiet" size="small" onClick={() => setLines(lines.filter((l) => l !== line))}>
                    Take out
                  </Button>
                ) : null}
              </li>
            )
          })}
        </ol>
        <p>
          <Button
            size="small"
            onClick={() =>
              setLines([
                ...lines,
                { key: Math.max(...lines.map((l) => l.key)) + 1, count: 1, kind: 'number', options: 4, points: '1' },
              ])
            }
          >
            More of another kind
          </Button>
        </p>
        {count > MOST ? <p role="alert">A sheet has {MOST} questions at most.</p> : null}
        <FaultLine error={make.error} />
      </form>
    </Dialog>
  )
}
