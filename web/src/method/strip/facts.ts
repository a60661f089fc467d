import { text as docket } from '../../docket/text'
import type { Facts } from '../kind'

export const facts: Facts = {
  stays: true,
  placed: true,
  protocols: ['', 'strips'],
  pieces: (n) => (n === 1 ? 'strip' : 'strips'),
  splash: docket.splashOxalic,
}
