import { afterEach, describe, expect, it, vi } from 'vitest'

const anew = async () => {
  vi.resetModules()
  return import('./remembered')
}
afterEach(() => vi.restoreAllMocks())

describe('What is remembered', () => {
  it('is remembered by the device and by the tab', async () => {
    const { onDevice, inTab } = await anew()
    onDevice.setItem('size', '2')
    inTab.setItem('note', 'read')
    expect([localStorage.getItem('size'), sessionStorage.getItem('note')]).toEqual(['2', 'read'])
  })

  it('lasts as long as the page where the browser refuses', async () => {
    const refused = () => {
      throw new DOMException('Access is denied for this document.', 'SecurityError')
    }
    vi.spyOn(window, 'localStorage', 'get').mockImplementation(refused)
    vi.spyOn(window, 'sessionStorage', 'get').mockImplementation(refused)
    const { onDevice, inTab } = await anew()
    expect(onDevice.getItem('size')).toBeNull()
    onDevice.setItem('size', '2')
    inTab.setItem('note', 'read')
    expect([onDevice.getItem('size'), inTab.getItem('note')]).toEqual(['2', 'read'])
    onDevice.removeItem('size')
    inTab.clear()
    expect([onDevice.getItem('size'), inTab.getItem('note')]).toEqual([null, null])
  })
})
