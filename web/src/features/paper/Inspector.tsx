import { useEffect, useRef, useState } from 'react'
import type { Schemas } from '@/lib/api/client'
import { plural, spanInMarks } from '@/lib/format'
import { asParagraphs, paragraphsIn } from '@/lib/said'
import { Button } from '@/ui/Button'
import { NumberField } from '@/ui/NumberField'
import { AreaField, TextField } from '@/ui/Field'
import { Tick } from '@/ui/Tick'
import { sectionOf, withEntry, withoutSection, withSection, type Paper } from './draft'
import { DefectLine } from './DefectLine'
import { DrawingForm } from './DrawingForm'
import { FollowUpForm } from './FollowUpForm'
import { LooksAtForm } from './LooksAtForm'
import { MasteryForm } from './MasteryForm'
import { SectionWays } from './SectionWays'

type Props = {
  paperId: string
  paper: Paper
  proof: Schemas['PaperProofView']
  selected: string | null
  onChange: (paper: Paper) => void
  onSelect: (id: string | null) => void
  onRehearse: () => void
  /** Whether somebody asked for the defects; said back once they are in view. */
  toProof: boolean
  onThere: () => void
}

/** What can be said of, and set for, the part that is selected; below it, the whole paper. */
export function Inspector(props: Props) {
  const { paperId, paper, proof, selected, onChange, onSelect, onRehearse, toProof, onThere } = props
  const [way, setWay] = useState<{ section: string; at: number } | null>(null)
  const proofHead = useRef<HTMLHeadingElement>(null)
  useEffect(() => {
    if (!toProof) return
    proofHead.current?.scrollIntoView({ block: 'start' })
    proofHead.current?.focus({ preventScroll: true })
    onThere()
  }, [toProof, onThere])
  const entry = paper.sections.flatMap((s) => s.entries).find((e) => e.id === selected)
  const section = entry ? sectionOf(paper, entry.id) : paper.sections.find((s) => s.id === selected)
  return (
    <div className="flex flex-col gap-6">
      {entry?.kind === 'question' ? (
        <section className="flex flex-col gap-2">
          <h2 className="text-lg">This question here</h2>
          <NumberField
            key={entry.id}
            label="Marks in this paper"
            value={entry.points}
            onChange={(points) => onChange(withEntry(paper, { ...entry, points: points || '0' }))}
          />
          <Tick
            label={
              section?.drawing
                ? 'Pinned: every student gets it, at this place'
                : 'Pinned: keeps its place when shuffled'
            }
            checked={entry.pinned ?? false}
            onChange={(pinned) => onChange(withEntry(paper, { ...entry, pinned }))}
          />
          {section ? <LooksAtForm paper={paper} section={section} entry={entry} onChange={onChange} /> : null}
        </section>
      ) : null}
      {entry ? (
        <Tick
          label="On paper it begins a new page"
          checked={entry.breaks ?? false}
          onChange={(breaks) => onChange(withEntry(paper, { ...entry, breaks }))}
        />
      ) : null}
      {section ? (
        <section className="flex flex-col gap-3">
          <h2 className="text-lg">Section</h2>
          <TextField
            label="Title"
            value={section.title}
            onChange={(e) => onChange(withSection(paper, section.id, { title: e.target.value }))}
          />
          <AreaField
            key={`told-${section.id}`}
            label="What students are told before its questions"
            placeholder="such as: no calculator here"
            rows={2}
            maxLength={2000}
            value={paragraphsIn(section.instructions ?? '')}
            onChange={(e) =>
              onChange(withSection(paper, section.id, { instructions: asParagraphs(e.target.value) || undefined }))
            }
          />
          <DrawingForm paper={paper} section={section} onChange={onChange} />
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
      <MasteryForm paper={paper} sentence={proof.mastery} onChange={onChange} />
      <FollowUpForm paperId={paperId} paper={paper} onChange={onChange} />
      <section>
        <h2 ref={proofHead} tabIndex={-1} className="text-lg">
          Proof
        </h2>
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
