import { Quoted } from '@/ui/Quoted'
import type { Schemas } from '@/lib/api/client'
import { percent, decimal } from '@/lib/format'
import { hintsOf } from '@/lib/hints'
import { Rich } from '@/lib/Rich'
import { kindOf } from '@/answers/registry'
import { useTerms } from '@/lib/terms'

type Item = Schemas['Item']
type Record = Schemas['BankRecordView']

/** A question as it is read: prompt, and with the key on, options or forms with their credit and misconception. */
export function ItemCard({ item, showKey, record }: { item: Item; showKey: boolean; record?: Record }) {
  const terms = useTerms()
  const idea = (id: string | null) => terms.data?.misconceptions.find((m) => m.id === id)?.name
  const taken = (named: string) => {
    const n = record?.lines.find((l) => l.line === named)?.count
    const all = record?.lines.reduce((sum, l) => sum + l.count, 0) ?? 0
    return n && all > 0 ? percent(n / all) : ''
  }
  const kind = kindOf(item.type)
  const criteria = kind.criteria(item.rule)
  const lines = kind.keyLines(item.rule).filter((line) => showKey || line.shown)
  return (
    <div>
      <Rich html={item.prompt} className="text-lg" />
      <ol className="mt-4 border-t">
        {lines.map((line) => (
          <li
            key={line.line}
            className="grid grid-cols-[auto_minmax(5rem,auto)_1fr] items-baseline gap-x-3 border-b py-2"
          >
            <span
              className={`inline-block size-6 rounded border text-center text-sm font-bold ${showKey && line.isKey ? 'border-ink bg-ink text-ground' : 'border-edge'}`}
            >
              {line.mark}
            </span>
            <span className="font-semibold">{line.rich ? <Rich html={line.text} inline /> : line.text}</span>
            <span className="text-right text-sm text-quiet">
              {showKey ? (
                <>
                  {line.isKey ? <b className="text-good">✓ key</b> : earned(line.credit)}
                  {idea(line.misconception) ? (
                    <span className={line.isKey || earned(line.credit) ? 'ml-2' : ''}>{idea(line.misconception)}</span>
                  ) : null}
                  {taken(line.line) ? <span className="ml-3 tabular-nums">{taken(line.line)}</span> : null}
                </>
              ) : null}
            </span>
            {showKey && line.feedback ? (
              <div className="col-start-2 col-end-4 text-sm text-quiet">
                <Quoted words={line.feedback} />
              </div>
            ) : null}
          </li>
        ))}
      </ol>
      {showKey && criteria.length > 0 ? <RubricTable criteria={criteria} idea={idea} /> : null}
      {showKey
        ? hintsOf(item).map((hint, i) => (
            <Aside
              key={i}
              title={`Hint ${i + 1}${hint.cost === '0' ? '' : `, costs ${hint.cost} of the marks`}`}
              html={hint.text}
            />
          ))
        : null}
      {item.goBack ? <Aside title={`To go back to: ${item.goBack.title}`} html={item.goBack.text} /> : null}
      {showKey && item.explanation ? <Aside title="Worked explanation" html={item.explanation} /> : null}
    </div>
  )
}

const earned = (credit: string) => (credit === '0' ? '' : `credit ${credit}`)

function RubricTable({
  criteria,
  idea,
}: {
  criteria: Schemas['Criterion'][]
  idea: (id: string | null) => string | undefined
}) {
  return (
    <div className="mt-3 flex flex-col gap-3">
      {criteria.map((criterion) => (
        <div key={criterion.name}>
          <h3 className="text-base">{criterion.name}</h3>
          <ol className="text-[15px]">
            {criterion.levels.map((level, i) => (
              <li key={i} className="flex gap-3 border-b py-1">
                <b className="w-6 text-right tabular-nums">{decimal(level.points)}</b>
                <span>
                  {level.descriptor}
                  {idea(level.misconception) ? <i className="text-quiet"> · {idea(level.misconception)}</i> : null}
                </span>
              </li>
            ))}
          </ol>
        </div>
      ))}
    </div>
  )
}

function Aside({ title, html }: { title: string; html: string }) {
  return (
    <div className="mt-3 text-[15px]">
      <b className="text-blue">{title}</b> <Rich html={html} />
    </div>
  )
}
