import type { Schemas } from '@/lib/api/client'
import { percent, rational, decimal } from '@/lib/format'
import { Rich } from '@/lib/Rich'
import { useTerms } from './terms'

type Item = Schemas['Item']
type Record = Schemas['BankRecordView']

const letter = (i: number) => String.fromCharCode(65 + i)

/** A question as it is read: prompt, and with the key on, options or forms with their credit and misconception. */
export function ItemCard({ item, showKey, record }: { item: Item; showKey: boolean; record?: Record }) {
  const terms = useTerms()
  const idea = (id: string | null) => terms.data?.misconceptions.find((m) => m.id === id)?.name
  const taken = (named: string) => {
    const n = record?.lines.find((l) => l.line === named)?.count
    const all = record?.lines.reduce((sum, l) => sum + l.count, 0) ?? 0
    return n && all > 0 ? percent(n / all) : ''
  }
  const lines: {
    id: string
    mark: string
    text: string
    rich: boolean
    right: boolean
    credit: string
    idea?: string
    feedback: string
    taken: string
  }[] =
    item.type === 'choice'
      ? item.rule.options.map((o, i) => ({
          id: o.id,
          mark: letter(i),
          text: o.text,
          rich: true,
          right: o.key,
          credit: o.key ? 'key' : '',
          idea: idea(o.misconception),
          feedback: o.feedback,
          taken: taken(o.id),
        }))
      : item.type === 'text'
        ? item.rule.forms.map((f, i) => ({
            id: String(i),
            mark: String(i + 1),
            text: f.text,
            rich: false,
            right: rational(f.credit) === 1,
            credit: f.credit === '1' ? 'key' : `credit ${f.credit}`,
            idea: idea(f.misconception),
            feedback: f.feedback,
            taken: taken(`form ${i + 1}`),
          }))
        : item.type === 'number'
          ? item.rule.targets.map((t, i) => ({
              id: String(i),
              mark: String(i + 1),
              text: `${decimal(t.value)} ${item.rule.unit}${t.tolerance !== '0' ? ` ± ${decimal(t.tolerance)}${t.kind === 'relative' ? ' × value' : ''}` : ''}`,
              rich: false,
              right: rational(t.credit) === 1,
              credit: t.credit === '1' ? 'key' : t.credit === '0' ? '' : `credit ${t.credit}`,
              idea: idea(t.misconception),
              feedback: t.feedback,
              taken: taken(`target ${i + 1}`),
            }))
          : []
  return (
    <div>
      <Rich html={item.prompt} className="text-lg" />
      <ol className="mt-4 border-t">
        {lines
          .filter(() => showKey || item.type === 'choice')
          .map((line) => (
            <li key={line.id} className="grid grid-cols-[auto_1fr_auto] items-baseline gap-x-3 border-b py-2">
              <span
                className={`inline-block size-6 rounded border text-center text-sm font-bold ${showKey && line.right ? 'border-ink bg-ink text-ground' : 'border-edge'}`}
              >
                {line.mark}
              </span>
              <span className="font-semibold">{line.rich ? <Rich html={line.text} inline /> : line.text}</span>
              <span className="text-right text-sm text-quiet">
                {showKey ? (
                  <>
                    {line.right ? <b className="text-good">✓ {line.credit}</b> : line.credit}
                    {line.idea ? <span className={line.credit ? 'ml-2' : ''}>{line.idea}</span> : null}
                    {line.taken ? <span className="ml-3 tabular-nums">{line.taken}</span> : null}
                  </>
                ) : null}
              </span>
              {showKey && line.feedback ? (
                <span className="col-start-2 col-end-4 text-sm text-quiet italic">“{line.feedback}”</span>
              ) : null}
            </li>
          ))}
      </ol>
      {item.type === 'open' && showKey ? <RubricTable item={item} idea={idea} /> : null}
      {showKey && item.hint ? <Aside title="Hint" html={item.hint} /> : null}
      {showKey && item.explanation ? <Aside title="Worked explanation" html={item.explanation} /> : null}
    </div>
  )
}

function RubricTable({ item, idea }: { item: Schemas['OpenItem']; idea: (id: string | null) => string | undefined }) {
  return (
    <div className="mt-3 flex flex-col gap-3">
      {item.rule.criteria.map((criterion) => (
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
