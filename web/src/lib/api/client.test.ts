import { describe, expect, it } from 'vitest'
import { Refusal, serve } from '@/testing/server'
import { api, Problem, problemOf, take } from './client'

const caught = async (promise: Promise<unknown>): Promise<unknown> =>
  promise.then(
    () => undefined,
    (thrown: unknown) => thrown,
  )

describe('The client', () => {
  it('hands on the body of an answer', async () => {
    serve({ 'GET /api/classes': { classes: [] } })
    expect(await take(api.GET('/api/classes'))).toEqual({ classes: [] })
  })

  it('throws what the server refused in its own words, field by field', async () => {
    serve({
      'POST /api/classes': new Refusal(422, 'Something is not right yet.', 'See the fields.', { name: 'Taken.' }),
    })
    const thrown = await caught(take(api.POST('/api/classes', { body: { name: '8 Heron' } })))
    expect(thrown).toBeInstanceOf(Problem)
    expect(thrown).toMatchObject({
      status: 422,
      message: 'Something is not right yet.',
      detail: 'See the fields.',
      fields: { name: 'Taken.' },
    })
  })

  it('says that what was typed is still here when the server is out of reach', async () => {
    serve({ 'GET /api/classes': () => Promise.reject(new TypeError('Failed to fetch')) })
    expect(await caught(take(api.GET('/api/classes')))).toMatchObject({
      status: 0,
      detail: 'Check the connection. What you typed is still here.',
    })
  })

  it('says what to do when the web server itself refuses what is too much', async () => {
    serve({ 'POST /api/classes': () => new Response('<h1>413</h1>', { status: 413 }) })
    expect(await caught(take(api.POST('/api/classes', { body: { name: 'x' } })))).toMatchObject({
      status: 413,
      message: 'This is too much at once.',
      detail: 'Take it in parts. What you typed is still here.',
    })
  })

  it('has words for an answer that is no problem document', async () => {
    serve({ 'GET /api/classes': () => new Response('<h1>Bad gateway</h1>', { status: 502 }) })
    expect(await caught(take(api.GET('/api/classes')))).toMatchObject({
      status: 502,
      message: 'This did not work.',
      fields: {},
    })
  })

  it('puts anything thrown into words', () => {
    const problem = new Problem(409, 'Changed meanwhile.', '')
    expect(problemOf(problem)).toBe(problem)
    expect(problemOf(new Error('boom'))).toMatchObject({ status: 500, detail: 'boom' })
    expect(problemOf('boom')).toMatchObject({ message: 'Something went wrong here.', detail: '' })
  })
})
