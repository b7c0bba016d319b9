import { http, HttpResponse } from 'msw'
import { setupServer } from 'msw/node'

type Sent = { path: string; body: unknown }
type Reply = unknown | ((sent: Sent) => unknown)

let replies: Record<string, Reply> = {}
let asked: (Sent & { method: string })[] = []

/** A refusal, as the server words it. */
export class Refusal {
  constructor(
    readonly status: number,
    readonly title: string,
    readonly detail = '',
    readonly fields: Record<string, string> = {},
  ) {}
}

/** Stands in for the server: replies by "METHOD /path", a value or a function of what was sent. Nothing else is there. */
export function serve(by: Record<string, Reply>) {
  replies = by
  asked = []
}

/** The same server with other answers to some questions. */
export function serveAlso(by: Record<string, Reply>) {
  replies = { ...replies, ...by }
}

/** What was asked with this method and path, in order. */
export const sent = (method: string, path: string) =>
  asked.filter((a) => a.method === method && a.path.split('?')[0] === path)
export const bodies = (method: string, path: string) => sent(method, path).map((a) => a.body)

/** Every request of the page ends here; none leaves the machine. */
export const server = setupServer(http.all('*', ({ request }) => answer(request)))

async function answer(request: Request): Promise<Response> {
  const url = new URL(request.url)
  const path = url.pathname + url.search
  const text = await request.text()
  const isJson = request.headers.get('Content-Type')?.includes('json') ?? false
  const body: unknown = text === '' ? undefined : isJson ? JSON.parse(text) : text
  asked.push({ method: request.method, path, body })
  const reply = replies[`${request.method} ${path}`] ?? replies[`${request.method} ${url.pathname}`]
  if (reply === undefined) return problem(new Refusal(404, `Nothing answers ${request.method} ${path} in this test.`))
  let settled: unknown
  try {
    settled = await (typeof reply === 'function' ? (reply as (s: Sent) => unknown)({ path, body }) : reply)
  } catch {
    // Nothing came back at all.
    return HttpResponse.error()
  }
  if (settled instanceof Refusal) return problem(settled)
  // Whatever stands between page and server may answer in its own way.
  if (settled instanceof Response) return settled
  return settled === null ? new Response(null, { status: 204 }) : Response.json(settled)
}

const problem = ({ status, title, detail, fields }: Refusal) =>
  new Response(JSON.stringify({ status, title, detail, fields }), {
    status,
    headers: { 'Content-Type': 'application/problem+json' },
  })
