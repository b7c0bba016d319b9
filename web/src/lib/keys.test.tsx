import { act } from 'react'
import { createRoot, type Root } from 'react-dom/client'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { type Acts, setKeysOn, useActs, useKeys } from './keys'

let root: Root
let host: HTMLElement

function Layer({ acts }: { acts: Acts }) {
  useKeys(acts)
  return null
}
function Sheet() {
  return (
    <ul>
      {useActs().map((a) => (
        <li key={a.name}>{`${a.name}: ${a.label}`}</li>
      ))}
    </ul>
  )
}
const show = (node: React.ReactNode) => act(() => root.render(node))
const press = (key: string, on: EventTarget = document.body, more: KeyboardEventInit = {}) => {
  const event = new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true, ...more })
  on.dispatchEvent(event)
  return event
}

beforeEach(() => {
  vi.stubGlobal('IS_REACT_ACT_ENVIRONMENT', true)
  host = document.body.appendChild(document.createElement('div'))
  root = createRoot(host)
})
afterEach(() => {
  act(() => root.unmount())
  host.remove()
  localStorage.clear()
  vi.unstubAllGlobals()
})

describe('keys', () => {
  it('go to the nearest screen that names them', () => {
    const [far, near, other] = [vi.fn(), vi.fn(), vi.fn()]
    show(
      <>
        <Layer acts={{ n: { label: 'New', run: far }, '?': { label: 'Keys', run: other } }} />
        <Layer acts={{ n: { label: 'Next', run: near } }} />
      </>,
    )
    expect(press('n').defaultPrevented).toBe(true)
    press('?', document.body, { shiftKey: true })
    expect([near, far, other].map((f) => f.mock.calls.length)).toEqual([1, 0, 1])
    expect(press('x').defaultPrevented).toBe(false)
  })

  it('leave a field to the one who types, unless an act is meant for fields', () => {
    const [letter, save] = [vi.fn(), vi.fn()]
    show(
      <>
        <input />
        <input type="checkbox" />
        <Layer
          acts={{ n: { label: 'Next', run: letter }, 'Ctrl+Enter': { label: 'Save', run: save, inFields: true } }}
        />
      </>,
    )
    const [text, box] = [...host.querySelectorAll('input')]
    press('n', text)
    expect(letter).not.toHaveBeenCalled()
    press('Enter', text, { metaKey: true })
    expect(save).toHaveBeenCalledOnce()
    press('n', box)
    expect(letter).toHaveBeenCalledOnce()
  })

  it('leave an open dialog alone, can be turned off, and end with their screen', () => {
    const run = vi.fn()
    const acts = { n: { label: 'Next', run } }
    show(
      <>
        <div role="dialog">
          <button>Close</button>
        </div>
        <Layer acts={acts} />
      </>,
    )
    press('n', host.querySelector('button') ?? host)
    act(() => setKeysOn(false))
    press('n')
    expect(run).not.toHaveBeenCalled()
    act(() => setKeysOn(true))
    press('n')
    expect(run).toHaveBeenCalledOnce()
    show(null)
    press('n')
    expect(run).toHaveBeenCalledOnce()
  })

  it('stand on the sheet once each, the nearest meaning of each', () => {
    const run = vi.fn()
    show(
      <>
        <Layer acts={{ n: { label: 'New', run }, '?': { label: 'Keys', run } }} />
        <Layer acts={{ n: { label: 'Next', run } }} />
        <Sheet />
      </>,
    )
    expect([...host.querySelectorAll('li')].map((li) => li.textContent)).toEqual(['n: Next', '?: Keys'])
  })
})
