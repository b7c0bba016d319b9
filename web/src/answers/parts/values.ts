import type { Value } from '../kinds'

export const textOf = (value: Value | null) => (value && 'text' in value ? value.text : '')
export const optionsOf = (value: Value | null) => (value && 'options' in value ? value.options : [])

/** Nothing stands in it, whatever the type. */
export const isBlank = (value: Value | null | undefined) => !value || Object.values(value).every(isEmpty)

const isEmpty = (part: unknown): boolean =>
  typeof part === 'string'
    ? part.trim() === ''
    : typeof part === 'object' && part !== null
      ? Object.values(part).every(isEmpty)
      : false
