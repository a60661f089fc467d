import { dayMonth, hours } from '../kit'

/** The words of things to do. */
export const text = {
  window: (from: string, by: string) =>
    from === by ? dayMonth(from) : `${dayMonth(from)} to ${dayMonth(by)}`,
  fits: (when: string) => `Suitable weather ${when}`,
  hours: (day: string, from: number, to: number) => `${dayMonth(day)} ${hours(from, to)}`,
  noneFit: (days: number, why: string) =>
    days === 1 ? `No suitable weather that day: ${why}` : `No suitable weather on its days: ${why}`,
  daysLate: (n: number) => (n === 1 ? '1 day late' : `${n} days late`),
  toRound: (job: string, day: string) => `Go to round: ${job}, ${day}`,
  skip: 'Skip',
  skipHint: 'You will not be asked again. The reason stays with it.',
  skipYes: 'Skip',
  skipWhy: 'Why skip it?',
  acts: {
    visit: 'Start round',
    board_in: 'Put boards in',
    board_read: 'Read boards',
    weigh: 'Weigh',
    queen: 'Look',
    hang: 'Look',
    move: 'Move',
    reversed: 'Move',
    out: 'Take out',
    count: 'Count',
    count_before: 'Count',
    recount: 'Count',
    treat: 'Decide',
  },
  names: (hives: readonly { name: string }[]) =>
    hives.length <= SHOWN
      ? hives.map((h) => h.name).join(', ')
      : `${hives
          .slice(0, SHOWN)
          .map((h) => h.name)
          .join(', ')} + ${hives.length - SHOWN}`,
}

const SHOWN = 6
