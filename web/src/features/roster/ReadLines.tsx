import { useState } from 'react'
import type { Schemas } from '@/lib/api/client'
import { TextField } from '@/ui/Field'
import { Tick } from '@/ui/Tick'

type Line = Schemas['RosterRosterLineView']

const FATES: Record<string, string> = {
  add: '✓ will be added',
  back: '✓ comes back',
  here: '○ in the class already',
  double: '○ double',
  fault: '✕ cannot be read',
  'left out': '– left out',
}

/** Lists that have the last name first, without a comma to tell: the first word of each name goes to its end. */
export const turnedRound = (lines: readonly Line[]): Record<string, string> =>
  Object.fromEntries(
    lines.map(({ line, name }) => {
      const [first = '', ...rest] = name.split(' ')
      return [line, [...rest, first].join(' ')]
    }),
  )

/** How each line was read, and what becomes of it. Each can be put right or left out. */
export function ReadLines({
  lines,
  names,
  onName,
  onTick,
}: {
  lines: readonly Line[]
  /** what was put right, by line */
  names: Record<string, string>
  onName: (line: number, name: string) => void
  onTick: (line: number, on: boolean) => void
}) {
  return (
    <table className="w-full text-[15px]">
      <caption className="sr-only">How each line was read</caption>
      <thead>
        <tr className="border-b text-left text-sm text-quiet">
          <th scope="col" className="w-16 py-1 font-medium">
            Line
          </th>
          <th scope="col" className="w-[26%] font-medium">
            As pasted
          </th>
          <th scope="col" className="w-[30%] font-medium">
            Name
          </th>
          <th scope="col" className="pl-3 font-medium">
            What becomes of it
          </th>
        </tr>
      </thead>
      <tbody>
        {lines.map((line) => (
          <tr key={line.line} className="border-b">
            <td className="py-1 text-quiet tabular-nums">
              <Tick
                label={
                  <>
                    <span className="sr-only">Take line </span>
                    {line.line}
                  </>
                }
                checked={line.fate !== 'left out'}
                onChange={(on) => onTick(line.line, on)}
              />
            </td>
            <td className="pr-3 break-words text-quiet">{line.given}</td>
            <td>
              <NameField
                // What the server made of it, where that is not what was typed.
                key={`${line.line} ${line.name}`}
                line={line.line}
                name={names[line.line] ?? line.name}
                onName={onName}
              />
            </td>
            <td
              className={`pl-3 ${line.fate === 'fault' ? 'text-bad' : line.fate === 'add' || line.fate === 'back' ? 'text-good' : 'text-quiet'}`}
            >
              {FATES[line.fate]} {line.note ? `· ${line.note}` : ''}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}

/** Looked at again once one leaves it. */
function NameField({
  line,
  name,
  onName,
}: {
  line: number
  name: string
  onName: (line: number, name: string) => void
}) {
  const [typed, setTyped] = useState(name)
  return (
    <TextField
      label={`Name in line ${line}`}
      hideLabel
      value={typed}
      onChange={(e) => setTyped(e.target.value)}
      onBlur={() => typed !== name && onName(line, typed)}
      onKeyDown={(e) => e.key === 'Enter' && e.currentTarget.blur()}
    />
  )
}
