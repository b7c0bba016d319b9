import type { Schemas } from '@/lib/api/client'
import { rational } from '@/lib/format'

type Near = Pick<Schemas['Target'], 'value' | 'tolerance' | 'kind'>

export const KINDS = [
  { value: 'absolute', label: 'in the unit' },
  { value: 'relative', label: 'of the value' },
  { value: 'decimals', label: 'decimal places' },
  { value: 'figures', label: 'significant figures' },
  { value: 'range', label: 'more at most' },
] as const

/** The sign between a value and what is near enough. */
export const SIGN: Record<Near['kind'], string> = {
  absolute: '±',
  relative: '±',
  decimals: 'to',
  figures: 'to',
  range: '+',
}

/** What a kind starts from: the whole for shares and distances is nothing, for rounding one place. */
export const startOf = (kind: Near['kind']) => (kind === 'decimals' || kind === 'figures' ? '1' : '0')

/** From where to where an answer counts for this value, as the rule has it; null where it is no number yet. */
export function reach({ value, tolerance, kind }: Near): [number, number] | null {
  const [at, by] = [rational(value), rational(tolerance)]
  if (value.trim() === '' || !Number.isFinite(at) || !Number.isFinite(by)) return null
  if (kind === 'range') return [at, at + by]
  const half =
    kind === 'relative'
      ? Math.abs(at) * by
      : kind === 'decimals'
        ? 0.5 * 10 ** -by
        : kind === 'figures'
          ? at === 0
            ? 0
            : 0.5 * 10 ** (Math.floor(Math.log10(Math.abs(at))) - by + 1)
          : by
  return [at - half, at + half]
}

/** As it is read behind the value: `± 0.05`, `to 2 d.p.`. */
export function nearInWords(tolerance: string, kind: Near['kind'], shown: (text: string) => string) {
  if (kind === 'decimals') return `to ${tolerance} d.p.`
  if (kind === 'figures') return `to ${tolerance} s.f.`
  if (rational(tolerance) === 0) return ''
  return kind === 'range'
    ? `up to ${shown(tolerance)} more`
    : `± ${shown(tolerance)}${kind === 'relative' ? ' × value' : ''}`
}
