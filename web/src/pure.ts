/** What needs no browser, in one script of its own, which Go's table tests load and call. */
export { inUnits } from './stages/mix/inUnits'
export { pounds, seams, three, volume } from './units/format'
export { Reader, read, typed } from './units/reader'
