import type { Schemas } from '@/lib/api/client'
import { plural, rational, spanInMarks } from '@/lib/format'
import { Button } from '@/ui/Button'
import { NumberField } from '@/ui/NumberField'
import { TextField } from '@/ui/Field'
import { SelectField } from '@/ui/Select'
import { Tick } from '@/ui/Tick'
import { sectionOf, withEntry, withoutSection, withSection, type Paper } from './draft'

type Props = {
  paper: Paper
  proof: Schemas['PaperProofView']
  selected: string | null
  onChange: (paper: Paper) => void
  onSelect: (id: string | null) => void
  onRehearse: () => void
}

/** What can be said of, and set for, the part that is selected; below it, the whole paper. */
export function Inspector({ paper, proof, selected, onChange, onSelect, onRehearse }: Props) {
  const entry = paper.sections.flatMap((s) => s.entries).find((e) => e.id === selected)
  const section = entry ? sectionOf(paper, entry.id) : paper.sections.find((s) => s.id === selected)
  return (
    <div className="flex flex-col gap-6">
      {entry?.kind === 'question' ? (
        <section>
          <h2 className="mb-2 text-lg">This question here</h2>
          <NumberField
            key={entry.id}
            label="Marks in this paper"
            value={entry.points}
            onChange={(points) => onChange(withEntry(paper, { ...entry, points: points || '0' }))}
          />
        </section>
      ) : null}
      {section ? (
        <section className="flex flex-col gap-3">
          <h2 className="text-lg">Section</h2>
          <TextField
            label="Title"
            value={section.title}
            onChange={(e) => onChange(withSection(paper, section.id, { title: e.target.value }))}
          />
          <RouteForm paper={paper} section={section} onChange={onChange} />
          {paper.sections.length > 1 ? (
            <div>
              <Button
                size="small"
                onClick={() => {
                  onChange(withoutSection(paper, section.id))
                  onSelect(null)
                }}
              >
                Remove the section
              </Button>
            </div>
          ) : null}
        </section>
      ) : null}
      <MasteryForm paper={paper} onChange={onChange} />
      <section>
        <h2 className="text-lg">Proof</h2>
        <p className="text-[15px]">
          {spanInMarks(proof.leastPoints, proof.mostPoints)},{' '}
          {proof.leastQuestions === proof.mostQuestions
            ? plural(proof.mostQuestions, 'question')
            : `${proof.leastQuestions} to ${proof.mostQuestions} questions`}{' '}
          over all routes.
        </p>
        {proof.defects.length === 0 ? <p className="text-good">✓ No defects.</p> : null}
        <ul className="mt-2 flex flex-col gap-1.5 text-[15px]">
          {proof.defects.map((d, i) => (
            <li key={i}>
              <button
                className={`text-left hover:underline ${d.blocks ? 'font-semibold text-bad' : 'text-quiet'}`}
                onClick={() => d.where && onSelect(d.where)}
              >
                {d.blocks ? '✕ ' : '○ '}
                {d.message}
              </button>
            </li>
          ))}
        </ul>
        {proof.mostQuestions > 0 ? (
          <Button className="mt-3" hint="r" onClick={onRehearse}>
            Rehearse
          </Button>
        ) : null}
      </section>
    </div>
  )
}

function RouteForm({
  paper,
  section,
  onChange,
}: {
  paper: Paper
  section: Paper['sections'][number]
  onChange: (paper: Paper) => void
}) {
  const route = section.route
  const at = paper.sections.indexOf(section)
  const following = paper.sections[at + 1]?.id ?? 'end'
  const places = [
    ...paper.sections.filter((s) => s.id !== section.id).map((s) => ({ value: s.id, label: s.title || 'Section' })),
    { value: 'end', label: 'the end' },
  ]
  const set = (change: Partial<NonNullable<typeof route>>) =>
    onChange(
      withSection(paper, section.id, {
        route: { below: '1/2', then: following, else: paper.sections[at + 2]?.id ?? 'end', ...route, ...change },
      }),
    )
  return (
    <div className="flex flex-col gap-2">
      <Tick
        label="Branch after this section"
        checked={route !== null}
        onChange={(on) => (on ? set({}) : onChange(withSection(paper, section.id, { route: null })))}
      />
      {route ? (
        <>
          <SelectField
            label="Below"
            disabled={Boolean(route.when)}
            value={route.below}
            onChange={(value) => set({ below: value })}
            options={[...new Set(['1/4', '1/3', '1/2', '3/5', '2/3', '3/4', '1', route.below])].map((share) => ({
              value: share,
              label: `${Math.round(rational(share) * 100)} % of this section`,
            }))}
          />
          <TextField
            label="or where this holds"
            className="font-mono text-[15px]"
            placeholder="q2 < 1 and share >= 0.5"
            note="A formula over share (0 to 1) and q1, q2 …, the credit of the questions here. Empty: the share above decides."
            value={route.when ?? ''}
            maxLength={1000}
            onChange={(e) => set({ when: e.target.value || undefined })}
          />
          <SelectField label="go to" value={route.then} onChange={(value) => set({ then: value })} options={places} />
          <SelectField
            label="otherwise to"
            value={route.else}
            onChange={(value) => set({ else: value })}
            options={places}
          />
        </>
      ) : null}
    </div>
  )
}

function MasteryForm({ paper, onChange }: { paper: Paper; onChange: (paper: Paper) => void }) {
  const rule = paper.mastery
  const set = (mastery: Paper['mastery']) => onChange({ ...paper, mastery })
  const credit = (i: number) => rule?.credits[Math.min(i, rule.credits.length - 1)] ?? '1'
  return (
    <section className="flex flex-col gap-2">
      <h2 className="text-lg">Mastery rule</h2>
      <Tick
        label="Missed questions come back until right"
        checked={rule !== null}
        onChange={(on) => set(on ? { returns: 2, credits: ['1', '1/2', '1/4'] } : null)}
      />
      {rule ? (
        <>
          <SelectField
            label="At most"
            value={String(rule.returns)}
            onChange={(returns) =>
              set({
                returns: Number(returns),
                credits: Array.from({ length: Number(returns) + 1 }, (_, i) => credit(i)),
              })
            }
            options={[
              { value: '1', label: 'once' },
              { value: '2', label: 'twice' },
              { value: '3', label: 'three times' },
              ...(rule.returns > 3 ? [{ value: String(rule.returns), label: `${rule.returns} times` }] : []),
            ]}
          />
          {Array.from({ length: rule.returns + 1 }, (_, i) => (
            <SelectField
              key={i}
              label={`Try ${i + 1} earns`}
              value={credit(i)}
              onChange={(share) =>
                set({
                  ...rule,
                  credits: Array.from({ length: rule.returns + 1 }, (__, j) => (i === j ? share : credit(j))),
                })
              }
              options={[...new Set(['1', '3/4', '1/2', '1/4', '0', credit(i)])].map((c) => ({
                value: c,
                label: c === '1' ? 'all marks' : c === '0' ? 'no marks' : `${c} of the marks`,
              }))}
            />
          ))}
        </>
      ) : null}
    </section>
  )
}
