import createClient from 'openapi-fetch'
import { FRAME } from '../framed'
import { sessionEnded } from '../session'
import type { components, paths } from './generated'

export type Schemas = components['schemas']

/** A request that the server refused, or that never reached it (status 0). */
export class Problem extends Error {
  constructor(
    readonly status: number,
    title: string,
    readonly detail: string,
    readonly fields: Record<string, string> = {},
  ) {
    super(title)
  }
}

export const api = createClient<paths>({
  headers: { 'X-Chalk-Ladder': '1', ...(FRAME ? { 'X-Chalk-Framed': '1' } : {}) },
})

const TOO_MUCH = { title: 'This is too much at once.', detail: 'Take it in parts. What you typed is still here.' }

type Answer<T> = { data?: T; error?: unknown; response: Response }

/** The body of an answer; throws a Problem for everything else. */
export async function take<T>(request: Promise<Answer<T>>): Promise<T> {
  let answer: Answer<T>
  try {
    answer = await request
  } catch {
    throw new Problem(0, 'The server cannot be reached.', 'Check the connection. What you typed is still here.')
  }
  if (answer.response.ok) return answer.data as T
  if (answer.response.status === 401) sessionEnded()
  // The web server refuses by itself what is far too large, and says so in no form of ours.
  const body = (
    answer.error && typeof answer.error === 'object' ? answer.error : answer.response.status === 413 ? TOO_MUCH : {}
  ) as Partial<Schemas['Problem']>
  throw new Problem(answer.response.status, body.title ?? 'This did not work.', body.detail ?? '', body.fields ?? {})
}

/** A problem in words, whatever was thrown. */
export function problemOf(thrown: unknown): Problem {
  return thrown instanceof Problem
    ? thrown
    : new Problem(500, 'Something went wrong here.', thrown instanceof Error ? thrown.message : '')
}
