import { Component, type ReactNode, Suspense } from 'react'
import { copy } from '../copy'
import { Button } from './Button'
import { Notice } from './Notice'

type Props = { children: ReactNode; name: string }

/** Boundary keeps what goes wrong in one view from taking the page with it: the header stays, and the view can be tried again. */
export class Boundary extends Component<Props, { wrong?: Error }> {
  state: { wrong?: Error } = {}

  static getDerivedStateFromError(wrong: Error) {
    return { wrong }
  }

  render() {
    const { wrong } = this.state
    if (!wrong) return <Suspense fallback={null}>{this.props.children}</Suspense>
    return (
      <main className="grid justify-items-start gap-3 pt-6">
        <Notice urgent>
          <p>
            <b>{copy.ui.couldNotBeShown(this.props.name)}</b>
            {copy.ui.nothingYouSavedIsLost}
          </p>
        </Notice>
        <div className="flex gap-2">
          <Button primary onClick={() => this.setState({ wrong: undefined })}>
            {copy.ui.tryAgain}
          </Button>
          <Button onClick={() => window.location.reload()}>{copy.ui.reloadThePage}</Button>
        </div>
      </main>
    )
  }
}
