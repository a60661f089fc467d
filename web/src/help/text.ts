/** The guide. */
export const text = {
  title: 'Help',
  intro: 'How a treatment goes in Keeler, and what its words mean.',
  way: 'From a count to the record',
  steps: [
    [
      '/decide',
      'Decide',
      'Which hives need it, which method fits each today, and on which day the weather is right. Tick the hives and make a job.',
    ],
    [
      '/mix',
      'Mix',
      'What to weigh, in what order, on your own balance. At the bench each load is recorded, and the batch gets the strength that it really has.',
    ],
    [
      '/treat',
      'Treat',
      'Hive by hive: how much each gets, what is left in the jar, what else to look for. It works without signal.',
    ],
    [
      '/check',
      'Check',
      'When to come back, what comes out, and whether it worked. Everything given is in the register.',
    ],
  ],
  today: 'Today tells each morning what is late, what is due and what comes next.',
  words: 'Words',
  seamsDrawn:
    'A box seen from above: combs as bars, and the bees between them. Here 2 full seams, ½ and ¼: 2¾ seams.',
  terms: [
    ['Seam', 'The bees in one gap between two combs, seen from above. Half full counts as ½.'],
    [
      'Sealed brood',
      'Brood under its caps. Mites in it are out of reach of a dribble; formic acid and long-lasting strips get at them.',
    ],
    [
      'Threshold',
      'From how many mites on you treat: a day on a board, or per 100 bees in a wash. It changes with the season, and you can set your own.',
    ],
    ['Method', 'Dribble (oxalic acid in syrup), strips (oxalic acid in glycerol) or formic acid.'],
    ['Protocol', 'One established way of doing a method: recipe, dose, conditions, and what follows.'],
    [
      'Label card',
      'What you copied from the label of a registered product. It stands wherever a protocol can, and comes first.',
    ],
    ['Cap', 'The most that one colony gets, however strong it is.'],
    ['Job', 'One treatment of some hives by one method, with its days.'],
    [
      'Batch',
      'What was mixed at one time: a jar, a pot of strips, a bottle. It has a number that goes on the label.',
    ],
    ['Lot', 'What you bought: a tub, a packet, a bottle, with its number and its date.'],
    ['Round', 'One visit to a yard for a job, hive by hive.'],
    ['Follow-up', 'What to come back for: taking strips out, the next dose, a count.'],
    ['Withdrawal', 'How many days honey may not be taken after a treatment. The label says.'],
    ['Register', 'The record of what every hive was given. Lines are amended, never deleted.'],
  ],
  harm: 'If something goes wrong',
  harmLines: [
    'In the eyes: rinse at once, lenses out, at least 15 minutes, with formic acid 30, and call for help while you go on rinsing.',
    'On the skin: clothes off, and much water. Swallowed: rinse the mouth, do not induce vomiting, call a poison centre.',
    'Breathed in and coughing: fresh air and medical help. Formic acid can harm hours later.',
    'Always acid into water. The label of the product and the rules of your country come before anything that Keeler says.',
  ],
  keys: 'Press ? on any page for its shortcuts, / to find a hive, a yard, a batch or a page.',
} as const
