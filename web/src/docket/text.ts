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
  whoGets: 'Who gets what',
  sum: 'All',

  notes: 'Mind',
  cost: 'cost of all',
  costColony: 'cost a colony',
  keeping: 'Keeping',
  never: 'Never',
  splash: 'After a splash',
  splashOxalic:
    'Eyes: rinse at once, lenses out, at least 15 minutes, and call for help still rinsing. Skin: clothes off, much water. Swallowed: rinse the mouth, do not induce vomiting, call a poison centre.',
  splashFormic:
    'Eyes: rinse at once, lenses out, 30 minutes, and call for help still rinsing. Skin: clothes off, much water. Swallowed: rinse the mouth, do not induce vomiting, call a poison centre. Breathed in and coughing: fresh air and medical help; it can harm hours later.',
  leftover: 'Left over',
  neutralise: (left: string, bicarbonate: string, gas: string) =>
    `${left} left takes ${bicarbonate} of bicarbonate and gives ${gas} of gas: open bucket, small portions, it foams.`,
  neutraliseAll: (bicarbonate: string) => `The whole batch would take ${bicarbonate} of bicarbonate.`,
  law: 'Law',
  laws: 'Many places forbid home-made mixtures and allow only a registered product by its label. Keeler does not say what is allowed where you are.',
  lawCard: 'The product’s label comes before anything here.',
  ruleNoted: (rule: string) => `Noted: ${rule}.`,
}
