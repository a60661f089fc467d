import Alert from '@mui/material/Alert'
import Button from '@mui/material/Button'
import { Component, type ReactNode } from 'react'
import { text } from './text'

/** Never a blank page: what failed is told, with a way on. */
export class Boundary extends Component<{ children: ReactNode }, { failed: boolean }> {
  state = { failed: false }

  static getDerivedStateFromError() {
    return { failed: true }
  }

  render() {
    if (!this.state.failed) return this.props.children
    return (
      <Alert severity="error" sx={{ m: 3 }}>
        <p>{text.failed}</p>
        <Button onClick={() => location.reload()}>{text.again}</Button>
        <Button
          color="error"
          onClick={() => {
            localStorage.clear()
            location.assign('/')
          }}
        >
          {text.afresh}
        </Button>
      </Alert>
    )
  }
}
