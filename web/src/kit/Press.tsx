import Button, { type ButtonProps } from '@mui/material/Button'
import type { ReactNode } from 'react'
import { Link } from 'react-router'

interface Props extends Pick<ButtonProps, 'className' | 'aria-label' | 'tabIndex'> {
  says: ReactNode
  onPress?: (() => void) | undefined
  /** The one that goes on, or one beside it; else it is plain words. */
  main?: boolean
  outlined?: boolean
  big?: boolean
  small?: boolean
  /** What it does cannot be undone. */
  harm?: boolean | undefined
  off?: boolean | undefined
  /** It sends the form that it stands in, or leads to another page. */
  submit?: boolean
  to?: string
}

/** A button: what it says, what it does, and how much it stands out. */
export function Press({ says, onPress, main, outlined, big, small, harm, off, submit, to, ...rest }: Props) {
  return (
    <Button
      variant={main ? 'contained' : outlined ? 'outlined' : 'text'}
      size={big ? 'large' : small ? 'small' : 'medium'}
      color={harm ? 'error' : 'primary'}
      disabled={off}
      type={submit ? 'submit' : 'button'}
      onClick={() => onPress?.()}
      {...(to !== undefined && { component: Link, to })}
      {...rest}
    >
      {says}
    </Button>
  )
}
