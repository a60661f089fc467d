import { Blank, type Edit, type Entry, optionsOf, Pick, say, type Typed } from '../../kit'
import styles from './LabelSheet.module.css'

interface Props {
  /** What stands in braces is a blank, by the place of its entry. */
  says: string
  entries: readonly Entry<string>[]
  typed: Typed<string>
  /** Left out where it is only read. */
  change: Edit<Typed<string>> | undefined
}

/** One sentence of a label, with its blanks; none while one of them is not asked, or nobody filled one in. */
export function Sentence({ says, entries, typed, change }: Props) {
  const parts = says.split(/[{}]/).map((part, i) => ({
    words: part,
    entry: i % 2 === 1 ? entries.find(({ of }) => of === `content.${part}`) : undefined,
  }))
  const blanks = parts.flatMap(({ entry }) => entry ?? [])
  const told = ({ of }: Entry<string>) => (typed[of] ?? '') !== '' && typed[of] !== '0'
  if (blanks.some((e) => e.when?.(typed) === false) || (!change && !blanks.some(told))) return null
  return (
    <p className={styles.sentence}>
      {parts.map(({ words, entry }, i) =>
        entry === undefined ? (
          words
        ) : change ? (
          <Filled key={i} entry={entry} typed={typed} change={change} />
        ) : (
          <b key={i}>{optionsOf(entry, typed)?.[typed[entry.of] ?? ''] ?? (typed[entry.of] || '–')}</b>
        ),
      )}
    </p>
  )
}

interface FilledProps {
  entry: Entry<string>
  typed: Typed<string>
  change: Edit<Typed<string>>
}

function Filled({ entry, typed, change }: FilledProps) {
  const options = optionsOf(entry, typed)
  const of = {
    label: say(entry.label, typed) ?? '',
    value: typed[entry.of] ?? '',
    onChange: (v: string) => change((t) => void (t[entry.of] = v)),
  }
  return options ? (
    <Pick {...of} options={options} className={styles.pick} />
  ) : (
    <Blank {...of} path={entry.of} />
  )
}
