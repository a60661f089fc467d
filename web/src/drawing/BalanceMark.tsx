import styles from './BalanceMark.module.css'

interface Props {
  /** What stands on its display: its smallest division. */
  reads: string
  /** What it carries; empty where nobody said. */
  carries: string
}

/** A balance: its plate, its display, and what it carries. */
export const BalanceMark = ({ reads, carries }: Props) => (
  <svg className={styles.balance} viewBox="0 0 104 74" aria-hidden="true">
    <path className={styles.plate} d="M14 8h76l-4 8H18zM48 16h8v8h-8z" />
    <path className={styles.body} d="M10 24h84l6 44H4z" />
    <rect className={styles.display} x={28} y={30} width={48} height={19} rx={2} />
    <text className={styles.reads} x={52} y={45}>
      {reads}
    </text>
    <text className={styles.carries} x={52} y={63}>
      {carries}
    </text>
  </svg>
)
