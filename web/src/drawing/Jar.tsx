import styles from './Jar.module.css'
import { text } from './text'

interface Props {
  /** Finished volume and what the doses take of it, mL. */
  volume: number
  given: number
  figure: string
  unit: string
}

const SIZES = [100, 250, 500, 1000, 2000, 5000, 10000, 25000, 50000, 100000]
const TOP = 34
const FLOOR = 126

/** The jar that the batch goes into: filled to its volume, the doses marked off against the rest. */
export function Jar({ volume, given, figure, unit }: Props) {
  const size = SIZES.find((s) => s >= volume) ?? volume
  const y = (ml: number) => FLOOR - (Math.min(ml, size) / size) * (FLOOR - TOP)
  const short = given > volume
  return (
    <svg className={styles.jar} viewBox="0 0 104 136" role="img" aria-label={text.jar(figure, unit)}>
      <path
        className={styles.glass}
        d="M28 4h48M32 4v10c-10 5-22 7-22 18v88c0 6 4 10 10 10h64c6 0 10-4 10-10V32c0-11-12-13-22-18V4"
      />
      {volume > 0 && (
        <rect
          className={styles.syrup}
          x={12}
          width={80}
          y={y(volume)}
          height={FLOOR - y(volume) + 2}
          rx={3}
        />
      )}
      {given > 0 && (
        <path
          className={short ? styles.short : styles.doses}
          d={`M12 ${y(volume - Math.min(given, volume))}h80`}
        />
      )}
      <text className={styles.figure} x={52} y={88}>
        {figure}
      </text>
      <text className={styles.unit} x={52} y={106}>
        {unit}
      </text>
      <text className={styles.size} x={52} y={29}>
        {volume > 0 && text.jarOf(size)}
      </text>
    </svg>
  )
}
