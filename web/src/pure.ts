/** What needs no browser, in one script of its own, which Go's table tests load and call. */
export { pounds, seams, three, volume } from './kit/format'
export { Reader, read, typed } from './kit/reader'
export { rewriteTo } from './kit/rewrite'
export * as outbox from './outbox/outbox'
export { adopt, emptyDraft, inUnits } from './method/begin'
export * as dribble from './method/dribble/request'
export * as pad from './method/pad/request'
export * as strip from './method/strip/request'
