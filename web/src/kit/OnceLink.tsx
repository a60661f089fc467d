import { useState } from 'react'
import styles from './kit.module.css'
import { Press } from './Press'
import { text } from './text'
import { useStart } from './useStart'

/** A link that is shown this once, to be copied. */
export function OnceLink({ path, says }: { path: string; says: string }) {
  const { public_url } = useStart()
  const [copied, setCopied] = useState(false)
  const link = `${public_url ?? location.origin}${path}`
  return (
    <div>
      <p style={{ margin: '10px 0 6px' }}>{says}</p>
      <p className={styles.link} data-link>
        {link}
      </p>
      <Press
        says={copied ? text.copied : text.copy}
        onPress={() => void navigator.clipboard.writeText(link).then(() => setCopied(true))}
      />
    </div>
  )
}
