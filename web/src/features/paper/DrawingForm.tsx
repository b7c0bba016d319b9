import type { Schemas } from '@/lib/api/client'
import { CountField } from '@/ui/CountField'
import { SelectField } from '@/ui/Select'
import { drawable, withSection, type Paper, type Section } from './draft'

type Drawing = Schemas['Drawing']

const BY: readonly { value: Drawing['by']; label: string }[] = [
  { value: 'chance', label: 'nothing: by chance' },
  { value: 'skill', label: 'their skills' },
  { value: 'difficulty', label: 'how many had them right' },
]

/** Whether each student gets all questions of a section or a draw of them, and what the draw is spread over. */
export function DrawingForm({
  paper,
  section,
  onChange,
}: {
  paper: Paper
  section: Section
  onChange: (paper: Paper) => void
}) {
  const { drawing } = section
  const questions = section.entries.filter((e) => e.kind === 'question')
  const set = (next: Drawing | undefined) => onChange(withSection(paper, section.id, { drawing: next }))
  if (questions.length < 2 && !drawing) return null
  const among = drawing ? drawable(section).length : questions.filter((e) => e.kind === 'question' && !e.pinned).length
  const most = Math.max(1, among)
  return (
    <>
      <SelectField
        label="Each student gets"
        value={drawing ? 'some' : 'all'}
        onChange={(value) =>
          set(value === 'some' ? { count: Math.max(1, Math.floor(among / 2)), by: 'chance' } : undefined)
        }
        options={[
          { value: 'all', label: 'all its questions' },
          { value: 'some', label: 'some of them, drawn' },
        ]}
      />
      {drawing ? (
        <>
          <CountField
            label={`How many of the ${most}`}
            value={drawing.count}
            most={100}
            onChange={(count) => set({ ...drawing, count })}
            note={questions.length > among ? 'Pinned questions come besides.' : undefined}
          />
          <SelectField
            label="Spread over"
            value={drawing.by}
            onChange={(by) => set({ ...drawing, by: by as Drawing['by'] })}
            options={BY}
          />
        </>
      ) : null}
    </>
  )
}
