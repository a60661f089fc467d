import names from '../../../words/names/docket.json'

/** The words that every docket shares, on the screen and on paper. */
export const text = {
  ...names,
  origin: (place: string, when: string) => `Keeler · ${place} · ${when}`,
  own: 'own recipe',

  gearLabel: 'Put on before the next line',
  gear: names.gear as Record<string, string>,
  tolerance: (band: string) => `± ${band}`,
  grams: (g: string) => `${g} g`,
  loads: (n: number, each: string, last: string) =>
    `in ${n} loads of ${each} g${last && `, the last ${last} g`}, each tared and ticked`,

  giving: 'Giving it',
  whoGets: 'What each hive gets',
  sum: 'Total',

  notes: 'Watch out',
  cost: 'total cost',
  costColony: 'cost per colony',
  keeping: 'Storage',
  never: 'Never',
  splash: 'After a splash',
  splashOxalic:
    'Eyes: rinse at once, lenses out, at least 15 minutes, and call for help while still rinsing. Skin: clothes off, plenty of water. Swallowed: rinse the mouth, do not induce vomiting, call a poison centre.',
  splashFormic:
    'Eyes: rinse at once, lenses out, 30 minutes, and call for help while still rinsing. Skin: clothes off, plenty of water. Swallowed: rinse the mouth, do not induce vomiting, call a poison centre. Breathed in and coughing: fresh air and medical help; it can harm hours later.',
  leftover: 'Left over',
  neutralise: (left: string, bicarbonate: string, gas: string) =>
    `${left} left over needs ${bicarbonate} of bicarbonate and gives off ${gas} of gas: use an open bucket, add a little at a time, it foams.`,
  neutraliseAll: (bicarbonate: string) => `The whole batch would need ${bicarbonate} of bicarbonate.`,
  law: 'Law',
  laws: 'Many places forbid home-made mixtures and allow only a registered product used by its label. Keeler does not know what is allowed where you are.',
  lawCard: 'The product’s label comes before anything here.',
  ruleNoted: (rule: string) => `You said: ${rule}.`,
}
