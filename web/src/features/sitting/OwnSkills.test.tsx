import { screen, waitFor } from '@testing-library/react'
import { expect, it } from 'vitest'
import { show } from '@/testing/page'
import { sent, serve } from '@/testing/server'
import OwnSkills from './OwnSkills'

const skill = (name: string, credit: number, n: number, rung: number, rungName: string) => ({
  name,
  credit,
  n,
  rung,
  rungName,
})

it('says by skill how many of the latest answers were right, and nothing where they are too few', async () => {
  serve({
    'GET /api/me/skills': {
      skills: [skill('Heights of tide', 7.5, 10, 3, 'clear'), skill('Scale', 1, 2, 0, '')],
      rungs: 3,
      latest: 10,
    },
  })
  show(<OwnSkills />)
  expect(await screen.findByText('clear · 7.5 of 10 right')).toBeTruthy()
  expect(screen.getByText('Too few answers yet to say it of: Scale.')).toBeTruthy()
  expect(screen.getAllByRole('img').map((one) => one.getAttribute('aria-label'))).toEqual(['clear, rung 3 of 3'])
})

it('is not there while nothing, or too little, has come back', async () => {
  serve({ 'GET /api/me/skills': { skills: [skill('Scale', 2, 2, 0, '')], rungs: 3, latest: 10 } })
  show(<OwnSkills />)
  await waitFor(() => expect(sent('GET', '/api/me/skills')).toHaveLength(1))
  await expect(screen.findByRole('heading', {}, { timeout: 200 })).rejects.toThrow()
})
