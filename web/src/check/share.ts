/** A share as whole per cent; what lies below nothing is told in words. */
export const percent = (share: number) =>
  String(Math.round(100 * Math.max(-1, Math.min(1, share)))).replace('-', '−')
