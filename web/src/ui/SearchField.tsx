import { useEffect, useRef, useState, type Ref } from 'react'
import { TextField } from './Field'

const REST = 200

/**
 * Words to search by. What is typed stands at once and is the field's own; it is searched for when the typing rests, so
 * that neither a letter nor the caret is lost to an answer on its way.
 */
export function SearchField({
  label,
  value,
  onSearch,
  placeholder,
  ref,
  hideLabel,
}: {
  label: string
  value: string
  onSearch: (words: string) => void
  placeholder?: string
  ref?: Ref<HTMLInputElement>
  hideLabel?: boolean
}) {
  const [typed, setTyped] = useState(value)
  const asked = useRef(value)
  const latest = useRef(onSearch)
  useEffect(() => {
    latest.current = onSearch
  })
  useEffect(() => {
    // Cleared or chosen from outside.
    if (value !== asked.current) {
      asked.current = value
      setTyped(value)
    }
  }, [value])
  useEffect(() => {
    if (typed === asked.current) return
    const timer = setTimeout(() => {
      asked.current = typed
      latest.current(typed)
    }, REST)
    return () => clearTimeout(timer)
  }, [typed])
  return (
    <TextField
      ref={ref}
      label={label}
      hideLabel={hideLabel}
      type="search"
      placeholder={placeholder}
      value={typed}
      onChange={(e) => setTyped(e.target.value)}
    />
  )
}
