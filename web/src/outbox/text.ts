/** The words of what waits on a phone. */
export const text = {
  waiting: (n: number) => `${n} waiting on this phone`,
  offline: 'no signal',
  refused: (n: number) => `${n} refused`,
  others: (n: number) => `${n} of somebody else’s ${n === 1 ? 'waits' : 'wait'} here`,
  unsigned: (n: number) =>
    `${n === 1 ? 'One line of a round waits' : `${n} lines of a round wait`} on this phone until whoever wrote ${n === 1 ? 'it' : 'them'} signs in here.`,
  see: 'Show them',

  /** Always in sight where one works in the yard. */
  bar: {
    sent: 'All sent',
    waiting: (n: number) => `${n} waiting`,
    offline: 'No signal',
    ready: 'Ready without signal',
    notReady: 'Not ready without signal yet',
    refused: (n: number) => `${n} refused`,
    full: 'This phone’s storage is full, so this one is only held in the open page: write it down.',
  },

  title: 'Waiting on this phone',
  intro: 'What you recorded without signal. It is sent in your name as soon as there is signal.',
  none: 'Nothing of yours is waiting here.',
  othersWhy: (n: number) =>
    `${n === 1 ? 'One line belongs' : `${n} lines belong`} to somebody else who used this phone. They will be sent when that person signs in here.`,
  unsent: 'not sent yet',
  drop: 'I have written it down: remove it',
  toRound: 'Go to round',
  mites: (n: number) => (n === 1 ? '1 mite counted' : `${n} mites counted`),
  save: 'Save as a file',
  saveWhy: 'For safety, or to type them in elsewhere.',
}
