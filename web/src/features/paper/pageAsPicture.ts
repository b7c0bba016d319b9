import { Problem, type Schemas } from '@/lib/api/client'
import { Sending } from '@/media/sending'

/** A page of a PDF as a picture of the team's, to be drawn on. What the team has already is not kept twice. */
export async function pageAsPicture(url: string, alt: string): Promise<Schemas['Picture']> {
  const page = await fetch(url)
  if (!page.ok) throw new Problem(page.status, 'The page could not be fetched.', 'Try again in a moment.')
  const blob = await page.blob()
  return new Promise((done, fail) => {
    const sending = new Sending('/api/uploads', { blob, name: `${alt}.png`, kinds: ['picture'] }, null, () => {
      const { state } = sending
      if (state.kind === 'refused') fail(new Problem(422, 'The page cannot be drawn on.', state.why))
      if (state.kind !== 'sent') return
      const { id, width, height } = state.file
      done({ file: id, width: width ?? 1, height: height ?? 1, alt })
    })
  })
}
