import { Formula } from '@/answers/parts/Names'
import { X } from 'lucide-react'
import { lazy, memo, Suspense, useState } from 'react'
import { Line, NextLine, replaced, without } from '@/answers/parts/Lines'
import type { Item } from '@/answers/kinds'
import { Problem, type Schemas } from '@/lib/api/client'
import { plural } from '@/lib/format'
import { TextField } from '@/ui/Field'
import { Fold } from '@/ui/Fold'
import { Tip } from '@/ui/Tip'
import { DrawTable } from './DrawTable'
import { domainInWords, readDomain, readVariable, type Variable } from './domains'
import { isTable, pastedTable, readTable } from './tables'
import type { Draws } from './useDraws'
import { ValueTable } from './ValueTable'

// Charts are fetched where there is something to draw.
const DrawStrip = lazy(() => import('./DrawStrip').then((module) => ({ default: module.DrawStrip })))

const DECIMALS = 2
const namesOf = (v: Variable) => (isTable(v) ? v.columns : [v.name])

type Own = Pick<Item, 'variables' | 'constraints' | 'decimals'>
const NOTHING: never[] = []

/**
 * Numbers that every student gets of their own: variables, what must hold between them, and what all of it comes to. Drawn anew with
 * these alone, not with each key that goes into the question.
 */
export const OwnNumbers = memo(function OwnNumbers({
  variables = NOTHING,
  constraints = NOTHING,
  decimals,
  draws: { asked, view, error },
  onChange,
}: Own & { draws: Draws; onChange: (change: Own) => void }) {
  const set = (change: Own) =>
    // A question without variables says nothing of them.
    onChange(
      (change.variables ?? variables).length === 0
        ? { variables: undefined, constraints: undefined, decimals: undefined }
        : change,
    )
  const problem = error instanceof Problem ? error : null
  const faultOf = (path: string) => problem?.fields[path]
  const elsewhere = problem
    ? Object.entries(problem.fields).filter(([path]) => !/^(variables\.\d+|constraints\.\d+)/.test(path))
    : []
  return (
    <section>
      <h2 className="text-lg">Own numbers</h2>
      {variables.length === 0 ? (
        <p className="text-sm text-quiet">
          With a variable every student gets numbers of their own. Write {'{h}'} in a text to show it, and = h − l where
          a number is wanted to work one out.
        </p>
      ) : null}
      <div className="mt-2">
        {variables.map((v, i) => {
          const path = `variables.${i}.`
          const one = {
            fault: Object.entries(problem?.fields ?? {}).find(([member]) => member.startsWith(path))?.[1],
            onChange: (next: Variable) => set({ variables: replaced(variables, i, next) }),
            onRemove: () => set({ variables: without(variables, i) }),
          }
          return isTable(v) ? <ValueTable key={i} table={v} {...one} /> : <VariableLine key={i} variable={v} {...one} />
        })}
        <div
          onPasteCapture={(e) => {
            const table = pastedTable(e.clipboardData.getData('text/plain'))
            if (!table) return
            e.preventDefault()
            e.stopPropagation()
            set({ variables: [...variables, table] })
          }}
        >
          <NextLine
            label="Next variable"
            mark={<span className="w-3" />}
            placeholder="h = 3.6 to 5 step 0.2"
            onLines={(lines) =>
              set({
                variables: [...variables, ...lines.flatMap((line) => readTable(line) ?? readVariable(line) ?? [])],
              })
            }
          />
        </div>
        <p className={`pt-1 text-sm text-quiet ${variables.some(isTable) ? 'hidden' : ''}`}>
          Values that belong together: <span className="font-mono">ship, draught = Brindle, 2.4; Lapwing, 1.8</span>, or
          paste a block from a spreadsheet.
        </p>
      </div>
      {variables.length > 0 ? (
        <>
          <p className="mt-3 text-sm font-semibold">What must hold</p>
          {constraints.map((constraint, i) => (
            <Line
              key={i}
              what={`condition ${i + 1}`}
              mark={<span className="w-3" />}
              onRemove={() => set({ constraints: without(constraints, i) })}
            >
              <Formula kind="condition">
                <TextField
                  label={`Condition ${i + 1}`}
                  hideLabel
                  inPlace
                  className="font-mono text-sm"
                  value={constraint}
                  onChange={(e) => set({ constraints: replaced(constraints, i, e.target.value) })}
                  fault={faultOf(`constraints.${i}`)}
                />
              </Formula>
            </Line>
          ))}
          <NextLine
            label="Next condition"
            mark={<span className="w-3" />}
            placeholder="h - l >= 2"
            onLines={(lines) => set({ constraints: [...constraints, ...lines] })}
          />
          <div className="mt-3 flex flex-wrap items-end gap-x-3 gap-y-2">
            <div className="w-28">
              <TextField
                label="At most, decimals"
                inputMode="numeric"
                value={String(decimals ?? DECIMALS)}
                onChange={(e) => /^\d?$/.test(e.target.value) && set({ decimals: Number(e.target.value || 0) })}
              />
            </div>
            <div role="group" aria-label="Put into the text" className="flex flex-wrap gap-1 pb-1">
              {variables.flatMap(namesOf).map((name) => (
                <Tip key={name} says="Puts it where the caret stands">
                  <button
                    type="button"
                    className="rounded border border-edge px-2 py-0.5 font-mono text-sm hover:border-ink"
                    // The caret stays in the text that is being written.
                    onMouseDown={(e) => e.preventDefault()}
                    onClick={() => document.execCommand('insertText', false, `{${name}}`)}
                  >
                    {`{${name}}`}
                  </button>
                </Tip>
              ))}
            </div>
          </div>
          {problem ? (
            <p className="mt-2 text-[15px] font-semibold text-bad">
              ✕ {elsewhere.map(([, message]) => message).join(' ') || 'One of the lines above cannot be read yet.'}
            </p>
          ) : null}
          {view && !problem ? <Seen item={asked} view={view} /> : null}
        </>
      ) : null}
    </section>
  )
})

const MOST_REASONS = 3

/** Why draws are left out: the most frequent first. */
function reasons(draws: readonly Schemas['BankDrawView'][]) {
  const counts = new Map<string, number>()
  for (const reason of draws.flatMap((d) => d.faults)) counts.set(reason, (counts.get(reason) ?? 0) + 1)
  return [...counts].sort((a, b) => b[1] - a[1])
}

/** Drawn anew with new draws alone, not with each key. */
const Seen = memo(function Seen({ item, view }: { item: Item; view: Schemas['BankDrawsView'] }) {
  const bad = view.draws.filter((d) => d.faults.length > 0)
  return (
    <div className="mt-3 flex flex-col gap-3">
      <p className="text-[15px]">
        <b>{plural(view.combinations, 'combination')}</b>
        {view.looked < view.combinations ? `, ${view.looked} of them looked at` : ''}: {view.draws.length - bad.length}{' '}
        fit to be handed out
        {bad.length > 0 ? `, ${bad.length} left out by themselves` : ''}
        {view.draws.length < view.looked
          ? `, ${plural(view.looked - view.draws.length, 'breaks', 'break')} a condition`
          : ''}
        .
      </p>
      {bad.length > 0 ? (
        <ul className="text-sm text-quiet">
          {reasons(bad)
            .slice(0, MOST_REASONS)
            .map(([reason, count]) => (
              <li key={reason}>
                ✕ {reason} <span className="tabular-nums">({count})</span>
              </li>
            ))}
          {bad.some((d) => d.faults.some((f) => f.includes('decimals'))) ? (
            <li>Round in the formula, as in round(h / 3, 2), or allow more decimals above, to use these too.</li>
          ) : null}
        </ul>
      ) : null}
      <Suspense>
        <DrawStrip item={item} view={view} />
      </Suspense>
      <Fold label="Draws side by side">
        <DrawTable formulas={view.formulas} draws={view.draws} />
      </Fold>
    </div>
  )
})

function VariableLine({
  variable,
  fault,
  onChange,
  onRemove,
}: {
  variable: Variable
  fault?: string
  onChange: (variable: Variable) => void
  onRemove: () => void
}) {
  // What is being typed stays as it is typed.
  const [typed, setTyped] = useState<string | null>(null)
  return (
    <div className="grid grid-cols-[4.5rem_1fr_auto] items-start gap-x-2 border-b py-1.5 first:border-t">
      <TextField
        label={`Name of ${variable.name}`}
        hideLabel
        inPlace
        className="font-mono font-bold"
        maxLength={20}
        value={variable.name}
        onChange={(e) => onChange({ ...variable, name: e.target.value.toLowerCase().replace(/[^a-z0-9]/g, '') })}
      />
      <Formula kind="value">
        <TextField
          label={`What ${variable.name} may be`}
          hideLabel
          inPlace
          className="font-mono text-sm"
          value={typed ?? domainInWords(variable)}
          onChange={(e) => {
            setTyped(e.target.value)
            if (e.target.value.trim() !== '') onChange(readDomain(variable.name, e.target.value))
          }}
          onBlur={() => setTyped(null)}
          fault={fault}
        />
      </Formula>
      <Tip says="Remove">
        <button
          type="button"
          aria-label={`Remove ${variable.name}`}
          className="flex size-7 items-center justify-center rounded text-quiet hover:bg-rust-pale hover:text-ink"
          onClick={onRemove}
        >
          <X aria-hidden className="size-4" />
        </button>
      </Tip>
    </div>
  )
}
