import { useState } from 'react'
import type { Schemas } from '@/lib/api/client'
import { plural, spanInMarks } from '@/lib/format'
import { Button } from '@/ui/Button'
import { NumberField } from '@/ui/NumberField'
import { TextField } from '@/ui/Field'
import { SelectField } from '@/ui/Select'
import { Tick } from '@/ui/Tick'
import { sectionOf, withEntry, withoutSection, withSection, type Paper } from './draft'
import { DefectLine } from './DefectLine'
import { SectionWays } from './SectionWays'

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
  const [way, setWay] = useState<{ section: string; at: number } | null>(null)
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
          <SectionWays
            paper={paper}
            section={section}
            exits={proof.exits.find((e) => e.section === section.id)?.exits ?? []}
            at={way?.section === section.id ? way.at : null}
            onChoose={(at) => setWay(at === null ? null : { section: section.id, at })}
            onChange={onChange}
          />
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
              <DefectLine defect={d} paper={paper} onGo={onSelect} onChange={onChange} />
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
