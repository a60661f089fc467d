import terms from '../../../words/names/terms.json'

/** The guide. */
export const text = {
  title: 'Help',
  intro: 'How a treatment goes in Keeler, and what its words mean.',
  way: 'From a count to the record',
  steps: [
    [
      '/decide',
      'Decide',
      'Which hives need treating, which method suits each today, and which day has the right weather. Tick the hives and make a job.',
    ],
    [
      '/mix',
      'Mix',
      'What to weigh, in what order, on your own balance. At the bench every load is recorded, so the batch carries the strength it really has.',
    ],
    [
      '/treat',
      'Treat',
      'Hive by hive: how much each gets, what is left in the jar, what else to check. It works without signal.',
    ],
    [
      '/check',
      'Check',
      'When to come back, what comes out, and whether it worked. Everything given is in the register.',
    ],
  ],
  today: 'Today shows each morning what is late, what is due and what comes next.',
  words: 'Words',
  seamsDrawn:
    'A box seen from above: combs as bars, and the bees between them. Here 2 full seams, ½ and ¼: 2¾ seams.',
  terms: Object.values(terms) as [string, string][],
  harm: 'If something goes wrong',
  harmLines: [
    'In the eyes: rinse at once, lenses out, for at least 15 minutes (30 with formic acid), and call for help while you keep rinsing.',
    'On the skin: clothes off and plenty of water. Swallowed: rinse the mouth, do not induce vomiting, call a poison centre.',
    'Breathed in and coughing: fresh air and medical help. Formic acid can harm hours later.',
    'Always acid into water. The product’s label and your local law come before anything Keeler says.',
  ],
  keys: 'Press ? on any page for its shortcuts, / to find a hive, a yard, a batch or a page.',
} as const
