/** The words of balances at hand. */
export const text = {
  balanceName: 'Name',
  division: 'Smallest division',
  capacity: 'Capacity',
  leastLoad: 'Minimum load',
  notSaid: 'not said',
  atHand: 'On the bench now',
  carries: (g: string) => `to ${g} g`,
  describe: 'Change or add a balance',
  addBalance: 'Another balance',
  removeBalance: 'Remove balance',
}
