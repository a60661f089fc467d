import { todayQuery, useShownFirst, useVolumeOnBench, volume } from '../kit'
import { text } from './text'

/** What stands beneath each place in the header: how things are, as far as it is known here already. */
export function useSubs() {
  const ml = useVolumeOnBench()
  const known = useShownFirst(todayQuery, { enabled: false }).data
  const today = known?.so_far ? undefined : known
  const mixed = ml === undefined ? undefined : volume(ml)
  return {
    ...text.subs,
    today: today ? text.toDo(today.due, today.late) : text.todaySub,
    ...(mixed && { mix: text.mixVolume(`${mixed.value} ${mixed.unit}`) }),
    ...(today && today.running > 0 && { check: text.running(today.running) }),
    yards: today ? text.hives(today.hives) : text.yardsSub,
  }
}
