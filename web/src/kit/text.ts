/** The words of what any screen may use. */
export const text = {
  lost: 'The server did not answer. Nothing is lost: what you typed stays here. Try again.',
  notANumber: 'Type a number, such as 45.5.',
  notWhole: 'Type a whole number.',
  nothing: 'Type a number here.',
  cancel: 'Leave it',
  loading: 'Opening…',
  unread: 'The server does not answer. It is asked again; what is saved is safe.',
  copy: 'Copy',
  copied: 'Copied',
  noDay: 'no day',
  noSuchDay: 'There is no such day.',
  pickDay: (of: string) => `${of}: pick a day`,
  notHere: 'There is nothing of the kind here.',
}
