import type { FactCodeOf } from '@tender-gill/core'
import { ADVICE } from './advice.ts'

/** How a fish is cooked, what hands do before, and several dishes at once. */
export const COOKING_WORDS: Readonly<Record<FactCodeOf<'cooking'>, string>> = {
  'cook.sum': '{low} to {high}, {core} in the middle when it comes out{rises, select, yes {; it rises to {peak} by itself} other {}}.',
  'cook.sum.long':
    '{low} to {high}, {core} in the middle when it comes out{rises, select, yes {; it rises to {peak} by itself} other {}}. {long}',
  'cook.long':
    'The middle is done long before a slow braise ends. {flesh, select, forgives {This flesh forgives the extra time, and grows tender in it.} dries {This flesh dries in the extra time: put it in late.} other {This flesh bears some of the extra time, and is best put in late.}}{body, select, yes { Its sinews give body to the sauce.} other { It gives the sauce little body.}}',
  'look.turn': '{skin, select, yes {the skin lets go by itself: turn it} other {it lets go by itself: turn it}}',
  'look.third': '{side, select, one {white a third of the way up the side} other {white a sixth in from either face}}',
  'look.two-thirds': '{side, select, one {white two thirds of the way up} other {a third of it left glassy, in the middle}}',
  'look.through': 'no glassy line left in the middle',
  'look.flakes': 'flakes part under a light press',
  'look.springs': 'it springs back under a finger, and gives no more in the middle than at the edge',
  'look.juices': 'juices run clear where a tip goes in',
  'look.beads': 'white beads come out of the flesh: it is as far as it should go',
  'look.take-out':
    'take it out: {from} to {to} with the probe {place, select, back {in the thick of the back, beside the bone, from above} above {in the middle of the thickest part, in from the side} other {in the middle of the thickest part}}',
  'look.rest': 'hottest in the middle after {minutes} of rest',
  'task.window': '{what}, where it is wanted: begin',
  'task.stage': 'Into: {medium}',
  'task.turned': 'Turn it; then: {medium}',
  'task.take-out': 'Take it out and let it rest',
  'task.serve': 'On the table',
  'window.soak.how': 'In cold water with a little salt, under a plate, in the fridge; then dry it well.',
  'window.soak.short': 'The smell stays on the surface.',
  'window.soak.long': 'It takes up water, turns soft, and its flavour is washed out.',
  'window.dry-salt.how':
    'Weigh the salt for the weight of the fish, strew it evenly, leave it open in the fridge; wipe it, and salt it no more.',
  'window.dry-salt.short': 'The salt lies on the surface: wet outside, bland inside, and it runs off.',
  'window.dry-salt.long': 'Firm and dry at the edge; nothing more goes in.',
  'window.brine.how': 'Cold brine, fish covered, in the fridge; rinse briefly, dry well, and salt it lightly afterwards.',
  'window.brine.short': 'Salty outside, bland inside.',
  'window.brine.long': 'Too salty to eat, glassy at the edge.',
  'window.sweet-salt.how': 'Coat it thinly, turn it once, in the fridge; wipe it off before the heat, for sugar burns.',
  'window.sweet-salt.short': 'It colours, and tastes of nothing underneath.',
  'window.sweet-salt.long': 'Too salty and firm; the edge turns leathery, and burns sooner.',
  'window.sour.how': 'In the fridge, in glass or steel. Sour and salt do not make raw fish safe: parasites and germs live through both.',
  'window.sour.short': 'Raw within, and sharp only at the edge.',
  'window.sour.long': 'Chalky and dry all through, as if overcooked. Sour and salt do not make raw fish safe.',
  'window.milk.how': 'Covered, in the fridge; let it drain, dry it or flour it.',
  'window.milk.short': 'Little changes.',
  'window.milk.long': 'The surface goes soft and does not brown well.',
  'window.cure.how':
    'As much sugar as salt, all round it, weighted, in the fridge, turned once; rinse and dry. Sour and salt do not make raw fish safe.',
  'window.cure.short': 'Soft and bland in the middle; it slices badly.',
  'window.cure.long': 'Hard and too salty at the edge. Sour and salt do not make raw fish safe.',
  'hands.spines': `{spines} Thick gloves, scissors first. A prick: rinse it, let it bleed; of stinging spines into water as hot as can be borne, and to a doctor if it swells or you feel unwell. ${ADVICE}`,
  'hands.pin-bones':
    'Between {fewest} and {most} in a side, in the first {share} % of it from the head end. {slant, select, up {They stand nearly straight: feel with a fingertip, draw straight up.} slanting {They slant towards the head: draw along their slant, towards the head, the other hand holding the flesh down.} other {They lie flat and fine: draw towards the head, or leave what softens in the heat.}}{out, select, yes { Or cut a narrow strip out with them in it.} other {}}',
  'hands.scale':
    'Scale it under water or in a bag, with the back of a knife, from tail to head; run a finger against the grain to find what is left.',
  'hands.fins': 'Cut the fins off with scissors, from tail to head, before they cut you.',
  'hands.gut': 'Open it from the vent to the chin with the point alone, lift everything out, and do not break the gall.',
  'hands.blood': 'Scrape the dark blood from along the spine with a thumb or a spoon, and rinse briefly: it is what tastes strong.',
  'hands.fillet-round':
    'Cut behind the gill and the fin down to the spine, turn the blade flat, and draw it along the bones to the tail in long strokes; lift over the ribs. Blade away from the hand that holds.',
  'hands.fillet-flat':
    'Cut down the middle line to the spine, then lay the blade flat and stroke outwards along the bones: two fillets from each side. Blade away from the hand that holds.',
  'hands.steaks': 'Cut across, all as thick: a firm knife to the spine, a tap on its back to go through it. Tail ends go elsewhere.',
  'hands.skin': 'Skin down, tail end to you: cut to the skin, hold it taut, and push the blade flat along it with a slight saw.',
  'hands.dry': 'Dry it all over with a cloth: what is wet steams before it browns, and sticks.',
  'hands.keep': 'Keep the frame and the head without its gills for broth, the trim for mince, the belly for itself.',
  'hands.at-table':
    'At the table: along the middle line first, lift the upper half-fillets off the bones to both sides, take the tail and lift the whole frame away, then the lower fillet. Look for small bones at the edges.',
  'run.clash':
    '{a} and {b} want {place, select, burner {more burners than there are} oven {one oven at two temperatures} steamer {one steamer} bath {one bath} fryer {one fryer} grill {one grill} broiler {one broiler} other {one pair of hands}} at once: serve one of them later, or find another.',
}
