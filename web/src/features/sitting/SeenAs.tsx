import { useQuery } from '@tanstack/react-query'
import { ask } from '@/lib/queries'
import { SelectField } from '@/ui/Select'

/** As whom a paper is tried: anybody, or a student who gets support. Nothing where nobody does. */
export function SeenAs({ student, onChange }: { student: string | null; onChange: (student: string | null) => void }) {
  const { data } = useQuery(ask.supported())
  if (!data || data.students.length === 0) return null
  return (
    <SelectField
      label="Seen as"
      hideLabel
      size="small"
      wide={false}
      value={student ?? ''}
      onChange={(id) => onChange(id || null)}
      options={[
        { value: '', label: 'as anybody' },
        ...data.students.map((s) => ({ value: s.id, label: `as ${s.name}, ${s.class}` })),
      ]}
    />
  )
}
