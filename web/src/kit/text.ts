/** The words of what any screen may use. */
export const text = {
  lost: 'Keeler cannot reach its server. What you typed is still here: try again.',
  notANumber: 'Type a number, such as 45.5.',
  twoWays: (before: string, behind: string) =>
    `${before}.${behind.replace(/0+$/, '') || '0'} or ${before},${behind}? Type ${before}.${behind} or ${before}${behind}.`,
  notWhole: 'Type a whole number.',
  nothing: 'Type a number here.',
  cancel: 'Cancel',
  loading: 'Opening…',
  unread: 'Keeler cannot reach its server and is trying again. What is saved is safe.',
  copy: 'Copy',
  copied: 'Copied',
  noDay: 'no day',
  noSuchDay: 'There is no such day.',
  pickDay: (of: string) => `${of}: pick a day`,
  whatIs: (name: string) => `What is a ${name.toLowerCase()}?`,
  find: 'Search this list',
  shown: 'Show',
  sorted: 'Sort by',
  found: (n: number, all: number) => `${n} of ${all}`,
  yardsSoFar: (shown: number, of: number) =>
    shown === 1
      ? `So far 1 of ${of} yards. The rest is on its way.`
      : `So far ${shown} of ${of} yards. The rest is on its way.`,
  jobsSoFar: (shown: number, of: number) =>
    `So far the ${shown} newest of ${of} jobs. The rest is on its way.`,
  notHere: 'There is nothing at this address.',
}
