import { act, render, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { useState } from 'react'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { Bar, barOf } from './Bar'
import { Boundary } from './Boundary'
import { Combobox } from './Combobox'
import { Dialog } from './Dialog'
import { NumberField } from './NumberField'
import { AreaField, TextField } from './Field'
import { SelectField } from './Select'
import { Ladder } from './Ladder'
import { FaultLine } from './States'
import { toast } from './toast'
import { Toasts } from './Toasts'
import { Problem } from '@/lib/api/client'

describe('Fields', () => {
  it('tie their label, note and fault together for those who listen', () => {
    render(
      <>
        <TextField label="Title" note="At most 120 characters." fault="This is empty." />
        <AreaField label="Words" hideLabel />
        <SelectField
          label="Unit"
          fault="Pick one."
          value="m"
          onChange={() => undefined}
          options={[{ value: 'm', label: 'm' }]}
        />
      </>,
    )
    const title = screen.getByLabelText('Title')
    const told = (title.getAttribute('aria-describedby') ?? '')
      .split(' ')
      .map((id) => document.getElementById(id)?.textContent)
    expect(told).toEqual(['At most 120 characters.', '✕ This is empty.'])
    expect(title.getAttribute('aria-invalid')).toBe('true')
    expect(screen.getByLabelText('Words').getAttribute('aria-invalid')).toBeNull()
    expect(screen.getByLabelText('Unit').getAttribute('aria-describedby')).not.toBeNull()
  })
})

describe('A field for an exact number', () => {
  it('lets a number be typed sign by sign, and hands on what can be read', async () => {
    const values: string[] = []
    function Field() {
      const [value, setValue] = useState('73/20')
      values.push(value)
      return <NumberField label="Number" value={value} onChange={setValue} />
    }
    render(<Field />)
    const field = screen.getByLabelText('Number') as HTMLInputElement
    expect(field.value).toBe('3.65')
    await userEvent.clear(field)
    expect(field.value).toBe('')
    await userEvent.type(field, '-4.20')
    expect(field.value).toBe('-4.20')
    expect(values).not.toContain('4.')
    expect(values.at(-1)).toBe('-4.20')
    await userEvent.tab()
    expect(field.value).toBe('-4.2')
    await userEvent.clear(field)
    await userEvent.type(field, '3,5')
    expect(values.at(-1)).toBe('3.5')
    await userEvent.clear(field)
    await userEvent.type(field, 'two')
    await userEvent.tab()
    expect([field.value, values.at(-1)]).toEqual(['two', 'two'])
  })
})

describe('The answer bar and the ladder', () => {
  it('say in words what they draw', () => {
    render(
      <>
        <Bar code={barOf('right')} />
        <Bar code={barOf('part')} />
        <Bar code={barOf('wrong')} />
        <Bar code={barOf('by hand')} />
        <Bar code={barOf('none')} />
        <Ladder reached={2} of={3} name="climbing" />
      </>,
    )
    const said = screen.getAllByRole('img').map((i) => i.getAttribute('aria-label'))
    expect(new Set(said).size).toBe(said.length)
    expect(said.at(-1)).toMatch(/climbing/)
  })
})

describe('Toasts', () => {
  afterEach(() => vi.useRealTimers())

  const shown = async () => {
    render(<Toasts />)
    await screen.findByRole('region', { name: /Messages/ })
  }

  it('go by themselves, those that can be undone later', async () => {
    await shown()
    vi.useFakeTimers()
    act(() => {
      toast('Saved.')
      toast('Archived.', { undo: () => undefined })
    })
    act(() => vi.advanceTimersByTime(5000))
    expect(screen.queryByText('Saved.')).toBeNull()
    expect(screen.getByText('Archived.')).toBeTruthy()
    act(() => vi.advanceTimersByTime(8000))
    expect(screen.queryByText('Archived.')).toBeNull()
  })

  it('undo once', async () => {
    const undo = vi.fn()
    await shown()
    act(() => toast('Archived.', { undo }))
    await userEvent.click(screen.getByRole('button', { name: 'Undo' }))
    expect(undo).toHaveBeenCalledOnce()
    expect(screen.queryByText('Archived.')).toBeNull()
  })
})

describe('A dialog', () => {
  it('closes by Escape and says what it is called', async () => {
    const close = vi.fn()
    render(
      <Dialog open onClose={close} title="Close this handout?" foot={<button>Close and hand in</button>}>
        <p>Three are at work.</p>
      </Dialog>,
    )
    expect(screen.getByRole('dialog', { name: 'Close this handout?' })).toBeTruthy()
    await userEvent.keyboard('{Escape}')
    expect(close).toHaveBeenCalledOnce()
  })
})

describe('A screen that fails', () => {
  it('gives back what had been typed', async () => {
    const loud = vi.spyOn(console, 'error').mockImplementation(() => undefined)
    const Screen = ({ broken }: { broken: boolean }) => {
      if (broken) throw new Error('a fault of ours')
      return <textarea aria-label="Comment" />
    }
    const { rerender } = render(
      <Boundary>
        <Screen broken={false} />
      </Boundary>,
    )
    await userEvent.type(screen.getByLabelText('Comment'), 'Name the sun too.')
    rerender(
      <Boundary>
        <Screen broken />
      </Boundary>,
    )
    expect(screen.getByRole('alert').textContent).toContain('This screen has failed')
    expect((screen.getByLabelText('What you had typed') as HTMLTextAreaElement).value).toBe('Name the sun too.')
    expect(document.body.textContent).not.toContain('a fault of ours')
    loud.mockRestore()
  })
})

it('a fault line says what and what next, or nothing', () => {
  const { container, rerender } = render(<FaultLine error={null} />)
  expect(container.textContent).toBe('')
  rerender(<FaultLine error={new Problem(409, 'Somebody saved before you.', 'Open the newer one.')} />)
  expect(screen.getByRole('alert').textContent).toBe('✕ Somebody saved before you. Open the newer one.')
})

describe('One of many', () => {
  const people = [
    { value: 'ada0-fade', label: 'Benoît Larsen' },
    { value: 'id-1', label: 'Ada Lind' },
    { value: 'id-2', label: 'Ada Lind' },
  ]

  it('is found by the words of its label alone, and the second of two called the same is itself', async () => {
    const picked: string[] = []
    const user = userEvent.setup()
    render(<Combobox label="Student" options={people} value="" onChange={(id) => picked.push(id)} />)
    await user.click(screen.getByRole('combobox', { name: 'Student' }))
    await user.keyboard('ada')
    expect(screen.getAllByRole('option').map((o) => o.textContent)).toEqual(['Ada Lind', 'Ada Lind'])
    await user.keyboard('{ArrowDown}{Enter}')
    expect(picked).toEqual(['id-2'])
    await user.click(screen.getByRole('combobox', { name: 'Student' }))
    await user.keyboard('benoit')
    expect(screen.getAllByRole('option').map((o) => o.textContent)).toEqual(['Benoît Larsen'])
  })
})
