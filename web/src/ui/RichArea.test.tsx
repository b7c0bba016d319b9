import { act, fireEvent, render, screen } from '@testing-library/react'
import type { Editor } from '@tiptap/react'
import userEvent from '@testing-library/user-event'
import { Activity } from 'react'
import { describe, expect, it, vi } from 'vitest'
import { PictureAsked, PictureSent, type TextPicture } from '@/lib/pictures'
import { Boundary } from './Boundary'
import { RichArea } from './RichArea'
import { Toasts } from './Toasts'

const tick = () => act(() => new Promise((resolve) => setTimeout(resolve, 20)))
function Page({ shown = true, value = '<p>High water</p>' }: { shown?: boolean; value?: string }) {
  return (
    <Boundary>
      <Activity mode={shown ? 'visible' : 'hidden'}>
        <RichArea label="Prompt" value={value} onChange={() => undefined} />
      </Activity>
    </Boundary>
  )
}
const prompt = () => screen.getByRole('textbox', { name: 'Prompt' })

describe('A rich editor', () => {
  it('is replaced when it was taken down before the page’s effects ran, as happens on a slow device', async () => {
    const { rerender } = render(<Page />)
    await tick()
    ;(prompt() as HTMLElement & { editor: Editor }).editor.destroy()
    rerender(<Page value="<p>Low water</p>" />)
    await tick()
    expect(screen.queryByRole('alert')).toBeNull()
    expect(prompt().textContent).toBe('Low water')
  })

  it('takes the focus when it was asked for, and not from whoever is typing elsewhere by then', async () => {
    const asked = <RichArea label="Prompt" value="" onChange={() => undefined} focused />
    const { unmount } = render(asked)
    await tick()
    expect(document.activeElement).toBe(prompt())
    unmount()
    render(<input aria-label="Elsewhere" />)
    screen.getByLabelText('Elsewhere').focus()
    render(asked)
    await tick()
    expect(document.activeElement).toBe(screen.getByLabelText('Elsewhere'))
  })

  it('comes back with its text when the tree around it was hidden for a moment', async () => {
    const { rerender } = render(<Page />)
    await tick()
    rerender(<Page shown={false} />)
    await tick()
    rerender(<Page />)
    await tick()
    expect(screen.queryByRole('alert')).toBeNull()
    expect(prompt().textContent).toBe('High water')
  })

  it('lights chosen words, and puts a note at their margin, which can be taken away again', async () => {
    let html = '<p>High water</p>'
    const user = userEvent.setup()
    render(
      <Boundary>
        <RichArea label="Prompt" value={html} onChange={(next) => (html = next)} />
        <Toasts />
      </Boundary>,
    )
    await tick()
    const editor = () => (prompt() as HTMLElement & { editor: Editor }).editor
    await user.click(screen.getByRole('button', { name: 'Note at the margin' }))
    expect(screen.queryByRole('dialog')).toBeNull()
    act(() => void editor().commands.setTextSelection({ from: 1, to: 5 }))
    await user.click(screen.getByRole('button', { name: 'Highlight' }))
    expect(html).toBe('<p><mark>High</mark> water</p>')
    await user.click(screen.getByRole('button', { name: 'Note at the margin' }))
    await user.type(screen.getByLabelText('Note'), 'of the morning{Enter}')
    expect(html).toBe('<p><mark data-note="of the morning">High</mark> water</p>')
    await user.click(screen.getByRole('button', { name: 'Note at the margin' }))
    await user.click(screen.getByRole('button', { name: 'Take the note away' }))
    expect(html).toBe('<p><mark>High</mark> water</p>')
    await user.click(screen.getByRole('button', { name: 'Highlight' }))
    expect(html).toBe('<p>High water</p>')
  })

  it('takes what comes from outside, such as an undo', async () => {
    const { rerender } = render(<Page />)
    await tick()
    rerender(<Page value="<p>Low <strong>water</strong></p>" />)
    await tick()
    expect(prompt().innerHTML).toBe('<p>Low <strong>water</strong></p>')
  })
})

describe('A rich text', () => {
  const round = async (html: string) => {
    let now = ''
    const { unmount } = render(<RichArea label="Prompt" value={html} onChange={(next) => (now = next)} />)
    await tick()
    act(() => void (prompt() as HTMLElement & { editor: Editor }).editor.commands.insertContentAt(1, 'x'))
    unmount()
    return now
  }

  it('keeps pictures of the team’s with their words, and drops those of others', async () => {
    const kept = '<img data-file="f1" alt="A buoy" width="40" height="30">'
    expect(await round(`<p>Which? ${kept}</p>`)).toBe(`<p>xWhich? ${kept}</p>`)
    expect(await round('<p>Which? <img src="https://elsewhere.example/x.png"></p>')).toBe('<p>xWhich?</p>')
  })

  it('keeps a table row by row, of which a pasted one loses its looks', async () => {
    const table =
      '<table><tbody><tr><th><p>Hour</p></th><th><p>Fall</p></th></tr><tr><td><p>1</p></td><td><p>0.3</p></td></tr></tbody></table>'
    expect(await round(`<p>Read.</p>${table}`)).toBe(`<p>xRead.</p>${table}`)
    const pasted =
      '<p>Read.</p><table style="width:9cm"><colgroup><col></colgroup><tbody><tr style="height:1cm"><td bgcolor="red">1</td></tr></tbody></table>'
    expect(await round(pasted)).toBe('<p>xRead.</p><table><tbody><tr><td><p>1</p></td></tr></tbody></table>')
  })

  it('keeps code, links to pages, and lines with their numbers', async () => {
    const html =
      '<p>Type <code>bin/tide</code>, see <a href="https://tides.example/">tables</a>.</p><ol data-lines=""><li><p>First</p></li></ol><ol><li><p>One</p></li></ol>'
    expect(await round(html)).toBe(html.replace('Type', 'xType'))
    expect(await round('<p><a href="javascript:alert(1)">no</a></p>')).toBe('<p>xno</p>')
  })

  it('lets a piece be changed by keys: arrows come to stand on it, Enter opens it', async () => {
    let now = ''
    render(<RichArea label="Prompt" value={'<p>a<span data-math="x"></span></p>'} onChange={(next) => (now = next)} />)
    await tick()
    const { editor } = prompt() as HTMLElement & { editor: Editor }
    act(() => void editor.commands.setNodeSelection(2))
    fireEvent.keyDown(prompt(), { key: 'Enter' })
    const field = await screen.findByLabelText('In LaTeX')
    fireEvent.change(field, { target: { value: 'y' } })
    fireEvent.click(screen.getByText('Put into the text'))
    await tick()
    expect(now).toBe('<p>a<span data-math="y"></span></p>')
  })

  it('links the chosen words, and takes a link away again', async () => {
    let now = ''
    render(<RichArea label="Prompt" value="<p>tables</p>" onChange={(next) => (now = next)} />)
    await tick()
    const { editor } = prompt() as HTMLElement & { editor: Editor }
    act(() => void editor.commands.selectAll())
    fireEvent.click(screen.getByRole('button', { name: 'Link' }))
    fireEvent.change(await screen.findByLabelText('Address of the page'), { target: { value: 'tides' } })
    expect((screen.getByRole('button', { name: 'Link' }) as HTMLButtonElement).disabled).toBe(true)
    fireEvent.change(screen.getByLabelText('Address of the page'), { target: { value: 'tides.example/a' } })
    fireEvent.click(screen.getByRole('button', { name: 'Link' }))
    expect(now).toBe('<p><a href="https://tides.example/a">tables</a></p>')
    act(() => void editor.commands.setTextSelection(3))
    fireEvent.click(screen.getByRole('button', { name: 'Link' }))
    fireEvent.click(await screen.findByRole('button', { name: 'Take the link away' }))
    expect(now).toBe('<p>tables</p>')
  })

  it('keeps pasted pictures in their places, and asks for the words of one that has none', async () => {
    // What a paste is, which this page's stand-in for a browser does not know.
    vi.stubGlobal('ClipboardEvent', class extends Event {})
    let now = ''
    const asked: unknown[] = []
    const sent: ((picture: TextPicture) => void)[] = []
    render(
      <PictureAsked.Provider value={(picture, put) => (asked.push(picture), put({ ...picture!, alt: 'a buoy' }))}>
        <PictureSent.Provider value={() => new Promise((resolve) => sent.push(resolve))}>
          <RichArea label="Prompt" value="" onChange={(next) => (now = next)} />
        </PictureSent.Provider>
      </PictureAsked.Provider>,
    )
    await tick()
    const html = '<p style="x">A <img src="data:image/png;base64,iVBORw0KGgo="> B</p>'
    fireEvent.paste(prompt(), {
      clipboardData: { getData: (kind: string) => (kind === 'text/html' ? html : ''), files: [] },
    })
    expect(prompt().textContent).toContain('picture on its way')
    await act(async () => sent[0]!({ file: 'f1', alt: '', width: 8, height: 9 }))
    await tick()
    expect(asked).toHaveLength(1)
    expect(now).toBe('<p>A <img data-file="f1" alt="a buoy" width="8" height="9"> B</p>')
    vi.unstubAllGlobals()
  })

  it('says which pasted picture was refused, and keeps the words around it', async () => {
    vi.stubGlobal('ClipboardEvent', class extends Event {})
    let now = ''
    render(
      <PictureSent.Provider value={() => Promise.reject(new Error('It is too large.'))}>
        <RichArea label="Prompt" value="" onChange={(next) => (now = next)} />
      </PictureSent.Provider>,
    )
    await tick()
    const html = '<p>A <img src="data:image/png;base64,iVBORw0KGgo="> B</p>'
    fireEvent.paste(prompt(), {
      clipboardData: { getData: (kind: string) => (kind === 'text/html' ? html : ''), files: [] },
    })
    await tick()
    expect(now).toBe('<p>A  B</p>')
    vi.unstubAllGlobals()
  })
})
