import { letter } from './parts/letter'

/** What stands in a rule several times, as its editor calls it. */
const LINES: Record<string, string> = {
  targets: 'value',
  forms: 'line',
  lines: 'line',
  gaps: 'gap',
  things: 'thing',
  places: 'place',
  pairs: 'pair',
  regions: 'place',
  labels: 'label',
  cells: 'asked cell',
  given: 'given cell',
  criteria: 'criterion',
  levels: 'level',
}
/** The member that a line is there for: it needs no name of its own. */
const ITSELF = new Set(['value', 'text', 'expression', 'id'])

/**
 * The place of a fault in a rule as the editor calls it: `rule.options.0.text` is read as `Option A`, `rule.targets.1.tolerance`
 * as `Value 2, tolerance`.
 */
export function faultNamed(path: string): string {
  const parts = path.replace(/^rule\.?/, '').split('.')
  const named = parts.flatMap((part, i) => {
    const n = Number(parts[i + 1])
    if (/^\d+$/.test(part) || (ITSELF.has(part) && i > 0)) return []
    if (!/^\d+$/.test(parts[i + 1] ?? '')) return [part.replace(/[A-Z]/g, (c) => ` ${c.toLowerCase()}`)]
    return [part === 'options' ? `option ${letter(n)}` : `${LINES[part] ?? part} ${n + 1}`]
  })
  const all = named.filter((name) => name !== '').join(', ')
  return all.charAt(0).toUpperCase() + all.slice(1)
}

/** Every fault of a rule in a line: where it is, and what is wrong. */
export const faultsNamed = (fields: Record<string, string>) =>
  Object.entries(fields)
    .filter(([path]) => path.startsWith('rule'))
    .map(([path, message]) => {
      const where = faultNamed(path)
      return where === '' ? message : `${where}: ${message}`
    })
