import { describe, expect, it } from 'vitest'
import { step } from '@/testing/sitting'
import { groupsOf, pagesOf } from './pages'

const names = (parts: { entry: string }[][]) => parts.map((part) => part.map((s) => s.entry).join(' '))

describe('A worksheet', () => {
  it('begins a page where the paper says so', () => {
    expect(names(pagesOf([]))).toEqual([])
    expect(names(pagesOf([step(1), step(2)]))).toEqual(['e1 e2'])
    const begins = { begins: true }
    expect(names(pagesOf([step(1, begins), step(2), step(3, begins), step(4, begins)]))).toEqual(['e1 e2', 'e3', 'e4'])
  })

  it('keeps those together that are read with the same sources', () => {
    const log = { beside: ['log'] }
    const both = { beside: ['log', 'chart'] }
    const steps = [step(1), step(2, log), step(3, log), step(4, both), step(5, log), step(6), step(7)]
    expect(names(groupsOf(steps))).toEqual(['e1', 'e2 e3', 'e4', 'e5', 'e6 e7'])
  })
})
