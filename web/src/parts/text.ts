export const text = {
  lost: 'The server did not answer. Nothing is lost: what you typed stays here. Try again.',
}

/** The words of a hive's boxes. */
export const boxText = {
  box: (n: number) => `box ${n}`,
  depths: [
    ['deep', 'Deep'],
    ['medium', 'Medium'],
    ['shallow', 'Shallow'],
  ] as const,
  hint: 'Tap a place to change it: comb, feeder, dummy board, empty.',
  slot: (n: number, kind: string) => `Place ${n}: ${kind}`,
  slotLetters: { comb: 'comb', feeder: 'feeder', dummy: 'dummy', empty: '–' },
  fewer: 'One frame fewer',
  more: 'One frame more',
  addBox: 'Add a box on top',
  removeBox: 'Take this box off',
}
