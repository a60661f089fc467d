/** The words of vessels at hand. */
export const text = {
  yours: 'Your vessels',
}
