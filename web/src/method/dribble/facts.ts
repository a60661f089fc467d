import { text as docket } from '../../docket/text'
import type { Facts } from '../kind'

export const facts: Facts = {
  vessel: 'jar',
  bySeams: true,
  protocols: ['', 'winter', 'winter-tight', 'winter-loose', 'in-season'],
  pieces: () => 'mL',
  splash: docket.splashOxalic,
}
