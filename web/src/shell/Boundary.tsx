import Alert from '@mui/material/Alert'
import { Component, type ReactNode } from 'react'
import { text } from './text'
import { Press } from '../kit'

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
        <Press says={text.again} onPress={() => location.reload()} />
        <Press
          harm
          says={text.afresh}
          onPress={() => {
            localStorage.clear()
            location.assign('/')
          }}
        />
      </Alert>
    )
  }
}
