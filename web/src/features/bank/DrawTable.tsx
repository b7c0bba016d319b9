import type { Schemas } from '@/lib/api/client'

type Draw = Schemas['BankDrawView']
const SHOWN = 6

/** A few draws beside each other: those that are never handed out first, since they say what to mend. */
export function DrawTable({ formulas, draws }: { formulas: string[]; draws: Draw[] }) {
  const bad = draws.filter((d) => d.faults.length > 0).slice(0, 2)
  const good = draws.filter((d) => d.faults.length === 0)
  const step = Math.max(1, Math.floor(good.length / (SHOWN - bad.length)))
  const shown = [...bad, ...good.filter((_, i) => i % step === 0).slice(0, SHOWN - bad.length)]
  const names = Object.keys(shown[0]?.numbers ?? {})
  const rows = formulas.filter((f) => !names.includes(f))
  return (
    <div className="overflow-x-auto">
      <table className="text-sm tabular-nums">
        <caption className="sr-only">Draws side by side</caption>
        <thead>
          <tr className="border-b text-left text-quiet">
            <td />
            {shown.map((d, i) => (
              <th key={i} scope="col" className="px-2 text-right font-medium">
                {d.faults.length > 0 ? <span className="font-bold text-bad">✕</span> : i + 1 - bad.length}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {[...names.map((name) => [name, true] as const), ...rows.map((f) => [f, false] as const)].map(
            ([name, own]) => (
              <tr key={name} className="border-b">
                <th scope="row" className={`py-0.5 pr-2 text-left font-mono ${own ? 'font-bold' : 'font-normal'}`}>
                  {name}
                </th>
                {shown.map((d, i) => (
                  <td key={i} className="px-2 text-right">
                    {(own ? d.numbers[name] : d.values[name]) ?? '–'}
                  </td>
                ))}
              </tr>
            ),
          )}
        </tbody>
      </table>
      {bad.map((d, i) => (
        <p key={i} className="mt-1 text-sm text-bad">
          ✕ {d.faults.join('; ')}: never handed out.
        </p>
      ))}
    </div>
  )
}
