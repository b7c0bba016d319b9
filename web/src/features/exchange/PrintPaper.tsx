import { useQuery } from '@tanstack/react-query'
import { useParams, useSearchParams } from 'react-router'
import { api, take, type Schemas } from '@/lib/api/client'
import { rational, SURE } from '@/lib/format'
import { Rich } from '@/lib/Rich'
import { Failed, Loading } from '@/ui/States'

type Item = Schemas['Item']

/** The page that becomes a PDF: the paper, or the paper with its key. Reads well in greyscale. */
export default function PrintPaper() {
  const { id = '' } = useParams()
  const [params] = useSearchParams()
  const withKey = params.get('key') === '1'
  const paper = useQuery({
    queryKey: ['print', id],
    queryFn: () =>
      take(
        api.GET('/api/print/papers/{id}', { params: { path: { id }, query: { ticket: params.get('ticket') ?? '' } } }),
      ),
    retry: false,
  })
  if (paper.isPending) return <Loading />
  if (paper.isError) return <Failed error={paper.error} />
  const { paper: doc, items, pictures, points } = paper.data
  let number = 0
  return (
    <main className="mx-auto max-w-[700px] bg-white p-2 text-[15px] text-black">
      <header className="mb-5 flex items-end gap-6 border-b-2 border-black pb-2">
        <div className="flex-1">
          <h1 className="text-2xl">{doc.title}</h1>
          <p>
            {withKey ? 'Key · ' : ''}
            {points} marks
          </p>
        </div>
        {withKey ? null : <p className="w-64 border-b border-black">Name</p>}
      </header>
      {doc.sections.map((section) => (
        <section key={section.id} className="mb-4">
          {doc.sections.length > 1 ? <h2 className="mb-2 text-lg">{section.title}</h2> : null}
          {section.entries.map((entry) => {
            if (entry.kind === 'source') {
              const picture = entry.source.picture ? pictures[entry.source.picture] : undefined
              return (
                <figure key={entry.id} className="mb-4 break-inside-avoid border border-black/40 p-3">
                  <figcaption className="font-semibold">{entry.source.title}</figcaption>
                  {picture ? (
                    <img src={picture} alt={entry.source.alt} className="mt-2 max-h-80 w-full object-contain" />
                  ) : null}
                  <Rich html={entry.source.html} />
                </figure>
              )
            }
            const item = items[entry.id]
            number += 1
            return item ? (
              <article key={entry.id} className="mb-5 flex break-inside-avoid gap-3">
                <b className="w-6 shrink-0 text-right font-head text-lg">{number}</b>
                <div className="min-w-0 flex-1">
                  <div className="flex gap-4">
                    <Rich html={item.prompt} className="flex-1" />
                    <span className="text-sm whitespace-nowrap">
                      {short(item.points)} {short(item.points) === '1' ? 'mark' : 'marks'}
                    </span>
                  </div>
                  <AnswerPlace item={item} withKey={withKey} />
                  {item.confidence && !withKey ? (
                    <p className="mt-3 flex gap-5 text-sm">
                      How sure are you?
                      {SURE.map((word) => (
                        <span key={word} className="flex items-center gap-1.5">
                          <span aria-hidden className="inline-block size-3.5 border border-black" /> {word}
                        </span>
                      ))}
                    </p>
                  ) : null}
                </div>
              </article>
            ) : null
          })}
        </section>
      ))}
    </main>
  )
}

const short = (text: string) => String(Math.round(rational(text) * 1e4) / 1e4)

function AnswerPlace({ item, withKey }: { item: Item; withKey: boolean }) {
  if (item.type === 'choice') {
    return (
      <ol className="mt-2">
        {item.rule.options.map((o, i) => (
          <li key={o.id} className="flex items-baseline gap-2 py-0.5">
            <span
              className={`inline-block size-5 border border-black text-center text-xs leading-5 font-bold ${withKey && o.key ? 'bg-black text-white' : ''}`}
              style={{ printColorAdjust: 'exact' }}
            >
              {String.fromCharCode(65 + i)}
            </span>
            <Rich html={o.text} inline />
            {withKey && o.key ? <b>✓ key</b> : null}
            {withKey && o.feedback ? <i className="text-sm">“{o.feedback}”</i> : null}
          </li>
        ))}
      </ol>
    )
  }
  if (!withKey) {
    return item.type === 'open' ? (
      <div className="mt-3 flex flex-col gap-6 pt-4">
        {Array.from({ length: 6 }, (_, i) => (
          <div key={i} className="border-b border-black/50" />
        ))}
      </div>
    ) : (
      <p className="mt-5 w-60 border-b border-black text-right">{item.type === 'number' ? item.rule.unit : ''} </p>
    )
  }
  if (item.type === 'open') {
    return (
      <table className="mt-2 w-full border-collapse text-sm">
        <tbody>
          {item.rule.criteria.map((c) => (
            <tr key={c.name} className="border border-black/50">
              <th className="p-1 text-left align-top">{c.name}</th>
              {c.levels.map((l, i) => (
                <td key={i} className="border border-black/50 p-1 align-top">
                  <b>{short(l.points)}</b> {l.descriptor}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    )
  }
  const lines =
    item.type === 'text'
      ? item.rule.forms.map((f) => ({ text: f.text, credit: f.credit }))
      : item.rule.targets.map((t) => ({
          text: `${short(t.value)} ${item.rule.unit}${rational(t.tolerance) > 0 ? ` ± ${short(t.tolerance)}` : ''}`,
          credit: t.credit,
        }))
  return (
    <ul className="mt-1">
      {lines
        .filter((l) => rational(l.credit) > 0)
        .map((l) => (
          <li key={l.text}>
            <b>✓ {l.text}</b> {l.credit === '1' ? '' : `credit ${l.credit}`}
          </li>
        ))}
    </ul>
  )
}
