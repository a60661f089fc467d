/** The words of balances at hand. */
export const text = {
  balanceName: 'Called',
  division: 'reads',
  capacity: 'carries',
  leastLoad: 'feels from',
  notSaid: 'not said',
  addBalance: 'Another balance',
  removeBalance: 'Not this one',
}
