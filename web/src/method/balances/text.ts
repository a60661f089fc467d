/** The words of balances at hand. */
export const text = {
  balanceName: 'Name',
  division: 'Smallest division',
  capacity: 'Capacity',
  leastLoad: 'Minimum load',
  notSaid: 'not said',
  addBalance: 'Another balance',
  removeBalance: 'Remove balance',
}
