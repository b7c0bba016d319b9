import { screen } from '@testing-library/react'
import { useState } from 'react'
import { describe, expect, it } from 'vitest'
import { blankItem } from '@/answers/registry'
import type { Item } from '@/answers/kinds'
import { show } from '@/testing/page'
import { serve } from '@/testing/server'
import { ItemForm } from './ItemForm'

const FILE = '019a5b00-0000-7000-8000-0000000000f1'
let now: Item
function Sheet() {
  const [item, setItem] = useState<Item>(blankItem('number'))
  now = item
  return <ItemForm item={item} onChange={setItem} />
}
const row = (entryId: string, title: string, begins: string) => ({
  paperId: 'p1',
  paper: 'Chart work',
  entryId,
  title,
  begins,
  hasPicture: true,
})

describe('Going back to a source', () => {
  it('takes it as it stands in its paper, with its picture', async () => {
    serve({
      'GET /api/sources': { sources: [row('e1', 'The log', 'We lay off'), row('e2', 'Harbour chart', '')] },
      'GET /api/papers/p1': {
        paper: {
          sections: [
            {
              entries: [
                {
                  id: 'e2',
                  kind: 'source',
                  source: { title: 'Harbour chart', html: '<p>Look.</p>', picture: FILE, alt: 'A "bar"' },
                },
              ],
            },
          ],
        },
      },
      'GET /api/files': { files: [{ id: FILE, width: 40, height: 30 }] },
    })
    const user = show(<Sheet />)
    await user.click(screen.getByRole('button', { name: 'Go back to a source …' }))
    await user.type(await screen.findByLabelText('Search'), 'harb')
    expect(screen.queryByText('The log')).toBeNull()
    await user.click(screen.getByRole('button', { name: /Harbour chart/ }))
    await screen.findByLabelText('What the page is called')
    expect(now.goBack).toEqual({
      title: 'Harbour chart',
      text: `<p><img data-file="${FILE}" alt="A &quot;bar&quot;" width="40" height="30"></p><p>Look.</p>`,
    })
  })

  it('says so where there is none, or it has been taken out meanwhile', async () => {
    serve({
      'GET /api/sources': { sources: [row('e1', 'The log', 'We lay off')] },
      'GET /api/papers/p1': { paper: { sections: [] } },
    })
    const user = show(<Sheet />)
    await user.click(screen.getByRole('button', { name: 'Go back to a source …' }))
    await user.click(await screen.findByRole('button', { name: /The log/ }))
    expect(now.goBack).toBeUndefined()
    expect(screen.getByRole('dialog')).toBeTruthy()
  })
})
