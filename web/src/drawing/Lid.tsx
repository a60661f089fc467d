import styles from './Lid.module.css'

export interface LidProps {
  from: 'above' | 'below'
  /** What each piece holds: 20 mL. */
  words: string
  /** Pieces beside each other; at most four are drawn. */
  pieces: number
}

/** What lies over the combs, or, dashed, on the floor under them. */
export function Lid({ from, words, pieces, width, height }: LidProps & { width: number; height: number }) {
  const n = Math.max(1, Math.min(pieces, 4))
  const side = Math.min(height - 20, 66, (width - 16) / n - 8)
  const left = width / 2 - (n * (side + 8) - 8) / 2
  return (
    <g className={from === 'above' ? styles.pad : styles.under}>
      {Array.from({ length: n }, (_, i) => (
        <g key={i}>
          <rect x={left + i * (side + 8)} y={(height - side) / 2} width={side} height={side} rx={12} />
          <text x={left + i * (side + 8) + side / 2} y={height / 2 + 6}>
            {words}
          </text>
        </g>
      ))}
    </g>
  )
}
