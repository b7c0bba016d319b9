import { screen, waitFor } from '@testing-library/react'
import { useState } from 'react'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { read } from '@/media/ink'
import { InkPad } from '@/media/InkPad'
import type { Stroke } from '@/media/ink'
import { edited, Editing, type RuleOf } from '@/testing/editing'
import { pickFrom, show } from '@/testing/page'
import { serve } from '@/testing/server'
import FloorInput from './floor/Input'
import type { Face, Item, Value } from './kinds'
import OpenEditor from './open/Editor'
import OpenInput from './open/Input'
import PlotEditor from './plot/Editor'
import PlotInput from './plot/Input'
import RecordingInput from './recording/Input'
import { blankItem, faceOf, kindOf } from './registry'
import SpotEditor from './spot/Editor'
import SpotInput from './spot/Input'
import UploadEditor from './upload/Editor'

beforeEach(() => serve({ 'GET /api/bank/terms': { skills: [], misconceptions: [], units: [] } }))

const ruleOf = <T extends Item['type']>(type: T) => blankItem(type).rule as RuleOf<T>
const asked = { prompt: '', hints: [], goBack: null, asksConfidence: false, asksWorking: false }
const picture = { file: 'f1', width: 1000, height: 500, alt: 'The harbour' }
const thing = (id: string, text: string) => ({ id, text: `<p>${text}</p>` })

let answer: Value | null = null
function Answering<F extends Face>({
  face,
  input: Input,
}: {
  face: F
  input: (p: {
    face: F
    value: Value | null
    onChange: (value: Value) => void
    disabled: boolean
    heading: string
  }) => React.ReactNode
}) {
  const [value, setValue] = useState<Value | null>(null)
  answer = value
  return <Input face={face} value={value} onChange={setValue} disabled={false} heading="question 1" />
}

describe('A picture to point at', () => {
  const spot = (change: object) => ({
    type: 'spot' as const,
    ...asked,
    mode: 'points' as const,
    asked: 1,
    labels: [],
    picture,
    ...change,
  })
  const sheet = () => screen.getByRole('application')

  it('is marked with the keyboard; of one mark the next is the same, moved', async () => {
    const user = show(<Answering face={spot({})} input={SpotInput} />)
    sheet().focus()
    await user.keyboard('{Enter}')
    expect(answer).toEqual({ points: [['500', '250']] })
    await user.keyboard('{ArrowRight}{ArrowDown}{Enter}')
    expect(answer).toEqual({ points: [['510', '260']] })
    screen.getByRole('button', { name: 'Mark 1, at 510, 260' }).focus()
    await user.keyboard('{Shift>}{ArrowLeft}{/Shift}')
    expect(answer).toEqual({ points: [['460', '260']] })
    await user.keyboard('{Delete}')
    expect(answer).toEqual({ text: '' })
  })

  it('takes no more marks than are asked for', async () => {
    const user = show(<Answering face={spot({ asked: 2 })} input={SpotInput} />)
    sheet().focus()
    await user.keyboard('{Enter}{ArrowRight}{Enter}{ArrowRight}{Enter}')
    expect(answer).toEqual({
      points: [
        ['500', '250'],
        ['510', '250'],
      ],
    })
    await user.click(screen.getByRole('button', { name: 'Take mark 1 away' }))
    expect(answer).toEqual({ points: [['510', '250']] })
  })

  it('is ringed, and a ring made larger and smaller', async () => {
    const user = show(<Answering face={spot({ mode: 'rings' })} input={SpotInput} />)
    sheet().focus()
    await user.keyboard('{Enter}')
    expect(answer).toEqual({ rings: [['500', '250', '50', '50']] })
    screen.getByRole('button', { name: 'Ring 1, at 500, 250' }).focus()
    await user.keyboard('+-+')
    expect(answer).toEqual({ rings: [['500', '250', '60', '60']] })
  })

  it('has labels laid on it, each once', async () => {
    const labels = [thing('a', 'ebb'), thing('b', 'pier')]
    const user = show(<Answering face={spot({ mode: 'labels', labels })} input={SpotInput} />)
    await user.click(screen.getByRole('button', { name: 'pier' }))
    sheet().focus()
    await user.keyboard('{Enter}')
    expect(answer).toEqual({ labels: { b: ['500', '250'] } })
    expect(screen.queryByRole('button', { name: 'pier' })).toBeNull()
    await user.click(screen.getByRole('button', { name: 'Take pier away' }))
    expect(answer).toEqual({ text: '' })
    expect(screen.getByRole('button', { name: 'pier' })).toBeTruthy()
  })

  it('gets its places by keyboard too; what an idea would choose earns nothing', async () => {
    const user = show(<Editing first={{ ...ruleOf('spot'), picture }} editor={SpotEditor} />)
    await user.click(screen.getByRole('button', { name: 'Put one in the middle' }))
    await user.type(screen.getByLabelText('What is at place 1'), 'the pier')
    await user.click(screen.getByRole('button', { name: 'Put one in the middle' }))
    await pickFrom(user, screen.getByLabelText('Credit of place 2'), 'no credit')
    screen.getByRole('application').focus()
    await user.keyboard('{ArrowRight}+')
    expect(edited()).toMatchObject({
      regions: [
        { id: 'r1', name: 'the pier', ellipse: ['500', '250', '80', '80'], credit: '1' },
        { id: 'r2', ellipse: ['510', '250', '88', '88'], credit: '0' },
      ],
    })
  })
})

describe('A grid', () => {
  const axis = { label: '', from: '0', to: '10', step: '1', snap: '1/2' }
  const plot = (change: object) => ({
    type: 'plot' as const,
    ...asked,
    ground: { across: axis, up: axis, curve: false },
    tools: ['point' as const, 'line' as const],
    ...change,
  })

  it('is plotted on with the keyboard: points, and lines through two of them', async () => {
    const user = show(<Answering face={plot({})} input={PlotInput} />)
    screen.getByRole('application').focus()
    await user.keyboard('{ArrowRight}{Enter}')
    expect(answer).toEqual({ points: [['11/2', '5']] })
    await user.click(screen.getByRole('radio', { name: 'Line' }))
    screen.getByRole('application').focus()
    await user.keyboard('{Enter}{ArrowUp}{Enter}')
    expect(answer).toEqual({ points: [['11/2', '5']], lines: [['5', '5', '5', '11/2']] })
    await user.click(screen.getByRole('button', { name: 'Take (5.5, 5) away' }))
    expect(answer).toEqual({ lines: [['5', '5', '5', '11/2']] })
  })

  it('of one dimension takes stretches, from the lower end to the upper', async () => {
    const flat = plot({ ground: { across: axis, line: true, curve: false }, tools: ['interval'] })
    const user = show(<Answering face={flat} input={PlotInput} />)
    screen.getByRole('application').focus()
    await user.keyboard('{Enter}{ArrowLeft}{ArrowLeft}{Enter}')
    expect(answer).toEqual({ intervals: [['4', '5']] })
    await user.keyboard('{Delete}')
    expect(answer).toEqual({ text: '' })
  })

  it('gets its key plotted, and says what students will have to plot with', async () => {
    const user = show(<Editing first={ruleOf('plot')} editor={PlotEditor} />)
    screen.getByRole('application').focus()
    await user.keyboard('{Enter}')
    expect(edited()).toMatchObject({ targets: [{ kind: 'point', x: '5', y: '5', credit: '1' }] })
    const item = { ...blankItem('plot'), rule: edited() } as Item
    expect(faceOf(item)).toMatchObject({ tools: ['point'] })
    expect(kindOf(item.type).keyLines(item.rule)).toMatchObject([{ line: 'target 1', text: '(5, 5)', isKey: true }])
  })
})

describe('A sheet to draw on', () => {
  let drawing: Stroke[] = []
  function Pad() {
    const [strokes, setStrokes] = useState<Stroke[]>([])
    drawing = strokes
    return <InkPad label="Drawing" ground="squared" picture={null} strokes={strokes} onChange={setStrokes} />
  }

  it('is drawn on with the keyboard, taken back and done again', async () => {
    const user = show(<Pad />)
    screen.getByRole('application').focus()
    await user.keyboard(' {ArrowRight}{ArrowRight}{ArrowDown} ')
    expect(drawing).toHaveLength(1)
    expect(read(drawing[0]!.points).map(({ x, y }) => [x, y])).toEqual([
      [500, 350],
      [520, 350],
      [520, 360],
    ])
    await user.click(screen.getByRole('button', { name: 'Take back' }))
    expect(drawing).toEqual([])
    await user.click(screen.getByRole('button', { name: 'Do again' }))
    expect(drawing).toHaveLength(1)
    await user.click(screen.getByRole('radio', { name: 'Rub out' }))
    screen.getByRole('application').focus()
    await user.keyboard('{ArrowLeft} ')
    expect(drawing).toEqual([])
  })

  it('takes words; Escape leaves none', async () => {
    const user = show(<Pad />)
    await user.click(screen.getByRole('radio', { name: 'Words' }))
    screen.getByRole('application').focus()
    await user.keyboard('{Enter}')
    await user.type(screen.getByLabelText('Words on the sheet'), 'high water{Enter}')
    expect(drawing).toMatchObject([{ tool: 'words', text: 'high water' }])
    await user.keyboard('{Enter}')
    await user.type(screen.getByLabelText('Words on the sheet'), 'no{Escape}')
    expect(drawing).toHaveLength(1)
  })
})

describe('A recording', () => {
  const face = { type: 'recording' as const, ...asked, criteria: ['Speech'], medium: 'sound' as const, seconds: 30 }
  it.each([
    ['NotAllowedError', 'Allow it beside the address above'],
    ['NotFoundError', 'This device has no microphone'],
    ['NotReadableError', 'Another program is using your microphone'],
  ])('that the device does not give (%s) says what to do, and leaves another way', async (name, words) => {
    vi.stubGlobal('navigator', {
      ...navigator,
      mediaDevices: { getUserMedia: () => Promise.reject(new DOMException('no', name)) },
    })
    const user = show(<Answering face={face} input={RecordingInput} />)
    await user.click(screen.getByRole('button', { name: /Record/ }))
    await waitFor(() => expect(screen.getByRole('alert').textContent).toContain(words))
    await user.click(screen.getByRole('button', { name: 'Give a file instead' }))
    expect(screen.getByLabelText('File for question 1: choose files')).toBeTruthy()
    vi.unstubAllGlobals()
  })
})

describe('Words', () => {
  it('are counted against what is asked for, and begun with a sentence that is offered', async () => {
    const face = {
      type: 'open' as const,
      ...asked,
      criteria: [],
      least: 4,
      most: 6,
      starters: ['The tide rises because'],
    }
    const user = show(<Answering face={face} input={OpenInput} />)
    await user.click(screen.getByRole('button', { name: 'The tide rises because …' }))
    expect(answer).toEqual({ text: 'The tide rises because ' })
    expect(screen.getByText('4 words')).toBeTruthy()
    await user.type(screen.getByRole('textbox'), 'of sun and moon')
    expect(screen.getByText('8 words; at most 6 are asked for')).toBeTruthy()
    await user.clear(screen.getByRole('textbox'))
    expect(screen.getByText('0 words; at least 4 are asked for')).toBeTruthy()
  })

  it('have their bounds and beginnings written with the rubric', async () => {
    const user = show(<Editing first={ruleOf('open')} editor={OpenEditor} />)
    await user.type(screen.getByLabelText('At least, words'), '50')
    await user.type(screen.getByLabelText('Beginnings to go on from, parted by /'), 'Because / At neaps')
    expect(edited()).toMatchObject({ least: 50, most: null, starters: ['Because', 'At neaps'] })
    await user.clear(screen.getByLabelText('At least, words'))
    expect(edited()).toMatchObject({ least: null })
  })

  it('that are said to all earn nothing, and say so', async () => {
    const user = show(<Answering face={{ type: 'floor' as const, ...asked }} input={FloorInput} />)
    await user.type(screen.getByRole('textbox'), 'Why?')
    expect(answer).toEqual({ text: 'Why?' })
    expect(screen.getByText(/Not scored/)).toBeTruthy()
  })
})

it('an upload says which files, how many and how large', async () => {
  const user = show(<Editing first={ruleOf('upload')} editor={UploadEditor} />)
  await user.click(screen.getByLabelText('pictures'))
  await user.click(screen.getByLabelText('sound'))
  await user.clear(screen.getByLabelText('At most, files'))
  await user.type(screen.getByLabelText('At most, files'), '5')
  expect(edited()).toMatchObject({ kinds: ['pdf', 'sound'], most: 5, megabytes: 20 })
})
