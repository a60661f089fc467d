import useMediaQuery from '@mui/material/useMediaQuery'
import { useContext, useEffect, useRef, type ReactNode } from 'react'
import { Faults } from './faults'
import styles from './Section.module.css'

interface Props {
  title: string
  /** What holds, in a word or two, to be read while the section is folded. */
  brief?: string
  /** Folded at the desk, too; on a phone every section is. */
  folded?: boolean
  children: ReactNode
}

/** A titled part of the left column, which folds away where there is little room. */
export function Section({ title, brief, folded, children }: Props) {
  const narrow = useMediaQuery('(max-width: 1000px)')
  const faults = useContext(Faults)
  const fold = useRef<HTMLDetailsElement>(null)
  useEffect(() => {
    // A fault must be seen at its field.
    if (fold.current?.querySelector('.Mui-error')) fold.current.open = true
  }, [faults])
  if (folded || narrow)
    return (
      <details ref={fold} className={styles.section}>
        <summary>
          {title}
          {brief && <span>{brief}</span>}
        </summary>
        {children}
      </details>
    )
  return (
    <section className={styles.section}>
      <h2>{title}</h2>
      {children}
    </section>
  )
}
