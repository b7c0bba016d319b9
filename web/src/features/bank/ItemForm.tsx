import { RichEditor } from '@/ui/RichEditor'
import { ExactField } from '@/ui/ExactField'
import { TextField } from '@/ui/Field'
import { Tick } from '@/ui/Tick'
import { RuleEditor } from '@/answers/RuleEditor'
import { TermSelect } from '@/ui/TermSelect'
import type { Item } from '@/answers/kinds'

/** A question, written in place on its sheet. */
export function ItemForm({
  item,
  onChange,
  faults = {},
}: {
  item: Item
  onChange: (item: Item) => void
  faults?: Record<string, string>
}) {
  const set = (
    change: Partial<Pick<Item, 'title' | 'prompt' | 'points' | 'skill' | 'hint' | 'explanation' | 'confidence'>>,
  ) => onChange({ ...item, ...change })
  const ruleFaults = Object.entries(faults).filter(([path]) => path.startsWith('rule'))
  return (
    <div className="flex flex-col gap-5">
      <div className="grid gap-3 sm:grid-cols-[1fr_6rem_14rem]">
        <TextField
          label="Title, for the team"
          value={item.title}
          onChange={(e) => set({ title: e.target.value })}
          fault={faults.title}
          placeholder="made from the prompt if left empty"
        />
        <ExactField label="Marks" value={item.points} onChange={(points) => set({ points })} fault={faults.points} />
        <TermSelect
          kind="skills"
          label="Skill"
          value={item.skill}
          onChange={(skill) => set({ skill })}
          fault={faults.skill}
        />
      </div>
      <RichEditor label="Prompt" value={item.prompt} onChange={(prompt) => set({ prompt })} />
      {faults.prompt ? <p className="text-bad">✕ {faults.prompt}</p> : null}
      <RuleEditor item={item} onChange={onChange} />
      {ruleFaults.map(([path, message]) => (
        <p key={path} className="text-sm font-semibold text-bad">
          ✕{' '}
          {path
            .replace(/^rule\.?/, '')
            .replace(/(\w+)\.(\d+)/, (_, what: string, n: string) => `${what.replace(/s$/, '')} ${Number(n) + 1}`)}
          : {message}
        </p>
      ))}
      <div className="grid gap-4 md:grid-cols-2">
        <RichEditor small label="Hint, opened on asking" value={item.hint} onChange={(hint) => set({ hint })} />
        <RichEditor
          small
          label="Worked explanation, shown on return"
          value={item.explanation}
          onChange={(explanation) => set({ explanation })}
        />
      </div>
      <Tick
        label="Ask students how sure they are of their answer"
        checked={item.confidence ?? false}
        onChange={(on) => set({ confidence: on })}
      />
    </div>
  )
}
