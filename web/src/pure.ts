/** What needs no browser, in one script of its own, which Go's table tests load and call. */
export { pounds, seams, three, volume } from './kit/format'
export { Reader, read, typed } from './kit/reader'
export { rewriteTo } from './kit/rewrite'
export * as outbox from './outbox/outbox'
