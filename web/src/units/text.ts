/** The words for figures that cannot be read. */
export const text = {
  notANumber: 'Type a number, such as 45.5.',
  notWhole: 'Type a whole number.',
  nothing: 'Type a number here.',
}
