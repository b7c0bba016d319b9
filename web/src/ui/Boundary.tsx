import { Component, type ReactNode } from 'react'
import { Button } from './Button'

/**
 * Catches a screen that fails. What was typed into fields is read off the page before it goes and shown, so that nothing
 * is lost with it.
 */
export class Boundary extends Component<{ children: ReactNode }, { failed: Error | null; typed: string[] }> {
  override state = { failed: null as Error | null, typed: [] as string[] }
  private host: HTMLDivElement | null = null

  static getDerivedStateFromError(failed: Error) {
    return { failed }
  }

  override componentDidCatch() {
    this.setState({ typed: this.drafts })
  }

  private drafts: string[] = []
  private remember = () => {
    const fields =
      this.host?.querySelectorAll<HTMLInputElement | HTMLTextAreaElement | HTMLElement>(
        'input:not([type=password]):not([type=checkbox]):not([type=radio]), textarea, [contenteditable=true]',
      ) ?? []
    this.drafts = [...fields]
      .map((f) => ('value' in f ? String(f.value) : (f.textContent ?? '')))
      .filter((text) => text.trim() !== '')
  }

  override render() {
    if (!this.state.failed) {
      return (
        <div ref={(host) => void (this.host = host)} onInput={this.remember} className="contents">
          {this.props.children}
        </div>
      )
    }
    return (
      <div role="alert" className="m-8 max-w-xl rounded border border-bad bg-sheet p-6">
        <h1 className="text-xl text-bad">✕ This screen has failed</h1>
        <p className="mt-2">What the server has saved is safe. Reload to go on.</p>
        {this.state.typed.length > 0 ? (
          <>
            <p className="mt-3">What you had typed, to copy:</p>
            <textarea
              readOnly
              className="field mt-1 h-32"
              value={this.state.typed.join('\n\n')}
              aria-label="What you had typed"
            />
          </>
        ) : null}
        <Button kind="do" className="mt-4" onClick={() => location.reload()}>
          Reload
        </Button>
      </div>
    )
  }
}
