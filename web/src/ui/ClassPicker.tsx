import { SelectField } from './Select'

/** Limits a desk to one class of a handout; nothing where there is one only. */
export function ClassPicker({
  classes,
  value,
  onChange,
}: {
  classes: string[]
  value: string
  onChange: (name: string) => void
}) {
  if (classes.length < 2) return null
  return (
    <SelectField
      label="Class"
      hideLabel
      size="small"
      wide={false}
      value={value}
      onChange={onChange}
      options={[{ value: '', label: 'All classes' }, ...classes.map((name) => ({ value: name, label: name }))]}
    />
  )
}
