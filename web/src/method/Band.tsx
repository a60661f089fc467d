import { useQuery } from '@tanstack/react-query'
import type { ComponentProps, ReactNode } from 'react'
import { Ladder } from '../drawing/Ladder'
import { Vessel } from '../drawing/Vessel'
import { volume } from '../kit'
import shared from './method.module.css'

interface Props {
  vessel: Pick<ComponentProps<typeof Vessel>, 'kind' | 'taken' | 'size'> & {
    /** mL in it; undefined while it is not known. */
    ml: number | undefined
    /** What stands on it instead of mL. */
    figure?: { value: string; unit: string }
  }
  legend: ReactNode
  /** What stands under it: vessels to fill. */
  below?: ReactNode
  ladder?: Omit<ComponentProps<typeof Ladder>, 'rungs'>
  rungs: ComponentProps<typeof Ladder>['rungs']
}

/** What is made, in its vessel, and the ladder of what is established beside it. */
export function Band({ vessel: { ml, figure, ...vessel }, legend, below, ladder, rungs }: Props) {
  const made = figure ?? (ml === undefined ? { value: '–', unit: '' } : volume(ml))
  return (
    <>
      <div className={shared.band}>
        <Vessel {...vessel} volume={ml ?? 0} figure={made.value} unit={made.unit} />
        <div className={shared.legend}>{legend}</div>
        {rungs.length > 0 && ladder && <Ladder {...ladder} rungs={rungs} />}
      </div>
      {below}
    </>
  )
}

/** The rungs of a ladder, which never change. */
export const useRungs = <Row,>(
  name: readonly string[],
  load: (signal: AbortSignal) => Promise<readonly Row[]>,
  rung: (row: Row) => Props['rungs'][number],
) =>
  (useQuery({ queryKey: name, queryFn: ({ signal }) => load(signal), staleTime: Infinity }).data ?? []).map(
    rung,
  )
