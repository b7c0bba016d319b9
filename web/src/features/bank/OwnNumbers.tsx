import { X } from 'lucide-react'
import { lazy, Suspense, useState } from 'react'
import { Line, NextLine, replaced, without } from '@/answers/parts/Lines'
import type { Item } from '@/answers/kinds'
import { Problem, type Schemas } from '@/lib/api/client'
import { plural } from '@/lib/format'
import { TextField } from '@/ui/Field'
import { Fold } from '@/ui/Fold'
import { Tip } from '@/ui/Tip'
import { DrawTable } from './DrawTable'
import { domainInWords, readDomain, readVariable, type Variable } from './domains'
import { useDraws } from './useDraws'

// Charts are fetched where there is something to draw.
const DrawStrip = lazy(() => import('./DrawStrip').then((module) => ({ default: module.DrawStrip })))

const DECIMALS = 2
const MEMBERS = ['variables', 'constraints', 'decimals'] as const

/** Numbers that every student gets of their own: variables, what must hold between them, and what all of it comes to. */
export function OwnNumbers({ item, onChange }: { item: Item; onChange: (item: Item) => void }) {
  const variables = item.variables ?? []
  const constraints = item.constraints ?? []
  const set = (change: Partial<Pick<Item, 'variables' | 'constraints' | 'decimals'>>) => {
    const next = { ...item, ...change } as Item
    // A question without variables says nothing of them.
    if ((next.variables ?? []).length === 0) for (const member of MEMBERS) delete next[member]
    onChange(next)
  }
  const { asked, view, error } = useDraws(item)
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
        {variables.map((v, i) => (
          <VariableLine
            key={i}
            variable={v}
            fault={
              faultOf(`variables.${i}.is`) ??
              faultOf(`variables.${i}.name`) ??
              faultOf(`variables.${i}.to`) ??
              faultOf(`variables.${i}.choices`)
            }
            onChange={(next) => set({ variables: replaced(variables, i, next) })}
            onRemove={() => set({ variables: without(variables, i) })}
          />
        ))}
        <NextLine
          label="Next variable"
          mark={<span className="w-3" />}
          placeholder="h = 3.6 to 5 step 0.2"
          onLines={(lines) => set({ variables: [...variables, ...lines.flatMap((line) => readVariable(line) ?? [])] })}
        />
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
              <TextField
                label={`Condition ${i + 1}`}
                hideLabel
                inPlace
                className="font-mono text-sm"
                value={constraint}
                onChange={(e) => set({ constraints: replaced(constraints, i, e.target.value) })}
                fault={faultOf(`constraints.${i}`)}
              />
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
                value={String(item.decimals ?? DECIMALS)}
                onChange={(e) => /^\d?$/.test(e.target.value) && set({ decimals: Number(e.target.value || 0) })}
              />
            </div>
            <div role="group" aria-label="Put into the text" className="flex flex-wrap gap-1 pb-1">
              {variables.map((v) => (
                <Tip key={v.name} says="Puts it where the caret stands">
                  <button
                    type="button"
                    className="rounded border border-edge px-2 py-0.5 font-mono text-sm hover:border-ink"
                    // The caret stays in the text that is being written.
                    onMouseDown={(e) => e.preventDefault()}
                    onClick={() => document.execCommand('insertText', false, `{${v.name}}`)}
                  >
                    {`{${v.name}}`}
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
}

function Seen({ item, view }: { item: Item; view: Schemas['BankDrawsView'] }) {
  const bad = view.draws.filter((d) => d.faults.length > 0)
  return (
    <div className="mt-3 flex flex-col gap-3">
      <p className="text-[15px]">
        <b>{plural(view.combinations, 'combination')}</b>
        {view.looked < view.combinations ? `, ${view.looked} of them looked at` : ''}: {view.draws.length - bad.length}{' '}
        fit to be handed out
        {bad.length > 0 ? `, ${bad.length} not` : ''}
        {view.draws.length < view.looked ? `, ${view.looked - view.draws.length} break a condition` : ''}.
      </p>
      <Suspense>
        <DrawStrip item={item} view={view} />
      </Suspense>
      <Fold label="Draws side by side">
        <DrawTable formulas={view.formulas} draws={view.draws} />
      </Fold>
    </div>
  )
}

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
