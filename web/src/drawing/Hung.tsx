import styles from './Hung.module.css'

/** What hangs in a gap or lies over it. */
export type Hangs = 'strip' | 'through' | 'from_above' | 'sponge'

interface Props {
  kind: Hangs
  /** The middle of the gap. */
  x: number
  height: number
}

/** A strip in a gap, folded over the top bar at its left; a sponge over it. */
export function Hung({ kind, x, height }: Props) {
  switch (kind) {
    case 'sponge':
      return <rect className={styles.strip} x={x - 17} y={height / 2 - 13} width={34} height={26} rx={5} />
    case 'from_above':
      return <rect className={styles.reached} x={x - 4} y={9} width={8} height={height - 18} rx={2} />
    case 'strip':
    case 'through':
      return (
        <g>
          <rect className={styles.strip} x={x - 4} y={7} width={8} height={height - 14} rx={2} />
          <path className={styles.strip} d={`M${x - 4} ${height / 2 - 6}h-12v12h12`} />
          {kind === 'through' && <path className={styles.arrow} d={`M${x - 6} ${height - 11}h12l-6 8z`} />}
        </g>
      )
  }
}
