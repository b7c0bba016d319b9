import { act, render, screen } from '@testing-library/react'
import { expect, it } from 'vitest'
import { say, useSaid } from '@/lib/say'
import { Said } from './Said'

function Line({ text }: { text: string }) {
  useSaid(text)
  return <p>{text}</p>
}

it('what has become of something is said in one place, each change once and nothing on arrival', () => {
  const page = (text: string) => (
    <>
      <Line text={text} />
      <Said />
    </>
  )
  const { rerender } = render(page('not saved yet'))
  const said = () => screen.getByRole('status').textContent
  expect(said()).toBe('')
  rerender(page('saved 10:04'))
  expect(said()).toBe('saved 10:04')
  rerender(page(''))
  expect(said()).toBe('saved 10:04')
  act(() => say('Ada is in “Clear” now.'))
  expect(said()).toBe('Ada is in “Clear” now.')
  // Said again it is another text, so that it is heard again.
  act(() => say('Ada is in “Clear” now.'))
  expect(said()).not.toBe('Ada is in “Clear” now.')
  expect(said()?.trim()).toBe('Ada is in “Clear” now.')
})
