import InputBase from '@mui/material/InputBase'
import { Pick } from './Pick'
import styles from './useSift.module.css'
import { text } from './text'
import { useKept } from './useKept'

interface Ways<T> {
  /** In which words a thing is looked for. */
  words: (of: T) => string
  /** By name, in which order; the first is that of the list. */
  sorts: Record<string, ((a: T, b: T) => number) | undefined>
  /** By name, which are shown; the first is all of them. */
  keeps?: Record<string, ((of: T) => boolean) | undefined>
}

/** Search, order and filter of a list: what of it is shown, and the controls for it. */
export function useSift<T>(key: string, all: readonly T[], { words, sorts, keeps = {} }: Ways<T>) {
  const { value, set } = useKept(`sift.${key}`, () => ({ find: '', sort: '', keep: '' }))
  const wanted = value.find.trim().toLowerCase().split(/\s+/)
  const keep = value.keep || (Object.keys(keeps)[0] ?? '')
  const order = value.sort || (Object.keys(sorts)[0] ?? '')
  const sort = sorts[order]
  const found = all.filter((one) => {
    const said = words(one).toLowerCase()
    return wanted.every((w) => said.includes(w)) && (keeps[keep]?.(one) ?? true)
  })
  const names = (ways: object) => Object.fromEntries(Object.keys(ways).map((n) => [n, n]))
  return {
    shown: sort ? found.toSorted(sort) : found,
    bar: (
      <div className={`${styles.bar} no-print`} data-sift={key}>
        <InputBase
          className={styles.find}
          value={value.find}
          placeholder={text.find}
          inputProps={{ 'aria-label': text.find, autoComplete: 'off' }}
          onChange={(e) => set({ ...value, find: e.target.value })}
        />
        {Object.keys(keeps).length > 1 && (
          <Pick
            label={text.shown}
            value={keep}
            options={names(keeps)}
            onChange={(to) => set({ ...value, keep: to })}
          />
        )}
        {Object.keys(sorts).length > 1 && (
          <Pick
            label={text.sorted}
            value={order}
            options={names(sorts)}
            onChange={(to) => set({ ...value, sort: to })}
          />
        )}
        <span className="quiet" role="status">
          {found.length < all.length && text.found(found.length, all.length)}
        </span>
      </div>
    ),
  }
}
