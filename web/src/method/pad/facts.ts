import { text as docket } from '../../docket/text'
import type { Facts } from '../kind'

export const facts: Facts = {
  vessel: 'bottle',
  stays: true,
  fumes: true,
  protocols: ['', 'formic', 'formic-bottle'],
  pieces: (n) => (n === 1 ? 'pad' : 'pads'),
  splash: docket.splashFormic,
}
