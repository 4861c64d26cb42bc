/** What each way of preparing, pouring and working says at the bench. */
import type { Plan, StepOf, Worker } from '@harina/core'

interface Prepared {
  readonly title: string
  readonly lead: string
  readonly done: string
  readonly caution: { readonly title: string; readonly text: string }
}

const steamBurns = {
  title: 'Steam burns',
  text: 'Potato, squash and paste hold their heat. Split them away from the face, lids last.',
}
const rawMilk = {
  title: 'Keep it cold',
  text: 'Curd stands in the fridge while it drains: two hours at room heat is the most, less where your code says so.',
}

export const prepareWords: Readonly<Record<StepOf<'prepare'>['what'], Prepared>> = {
  steam: {
    title: 'Let it steam off',
    lead: 'Peeled and riced hot, spread thin over a board. Weigh it only when no steam rises: then the water that has gone is gone.',
    done: 'Steamed off, go on',
    caution: steamBurns,
  },
  dry: {
    title: 'Dry it in the pan',
    lead: 'Mashed, over a low flame, until a spoon leaves a track that stays. Weigh it after, cooled.',
    done: 'Dry, go on',
    caution: steamBurns,
  },
  drain: {
    title: 'Drain the curd',
    lead: 'In a cloth over a bowl, in the fridge. What drips now does not have to be bound with flour later.',
    done: 'Drained, go on',
    caution: rawMilk,
  },
  grate: {
    title: 'Grate and squeeze',
    lead: 'Grated fine, squeezed lightly in a cloth. Let the starch settle in the juice, pour the juice off, give the starch back.',
    done: 'Squeezed, go on',
    caution: { title: 'Grater', text: 'Stop at the last of the potato, or use a guard.' },
  },
  simmer: {
    title: 'Bring the milk to a simmer',
    lead: 'With the salt in it, stirred along the bottom. Semolina and butter stand weighed beside it.',
    done: 'It simmers, go on',
    caution: { title: 'Boiling over', text: 'Milk climbs at once. Half a pan, handle turned in, and stay beside it.' },
  },
}

const pourLeads: Readonly<Record<StepOf<'pour'>['how'], string>> = {
  rake: 'Rake it in with open fingers, from the rim to the middle; leave no dry spot.',
  fork: 'Into a well in the flour, forked in from its walls.',
  rub: 'In a ring round the rim, then rubbed with spread fingers to even crumbs: the first goes decides.',
  thread: 'In a thread while the paddle turns, over two to four minutes. Crumbs, never a ball.',
  sprinkle: 'Sprinkled while mixing, so that no crumb gets more than its share.',
  scald: 'In a thread onto the flour, stirred with a stick. No hands in it yet.',
  beat: 'Beaten hard to a smooth paste first, then loosened.',
}
export const pourLead = (step: StepOf<'pour'>, by: Worker): string =>
  step.how === 'scald' && by === 'mixer'
    ? 'In a thread down the wall while the paddle turns slowly; stop once to scrape, until no dry flour is left.'
    : pourLeads[step.how]

const kneadTitles: Readonly<Record<StepOf<'knead'>['how'], string>> = {
  push: 'Knead',
  press: 'Press together',
  tread: 'Tread, fold, tread',
  twist: 'Knead and twist',
  fold: 'Press and fold',
  beat: 'Beat',
  paddle: 'Mix to crumbs',
  stir: 'Stir over the flame',
  draw: 'Thin the rope',
}
export const kneadTitle = (step: StepOf<'knead'>): string => kneadTitles[step.how]

const handLeads: Readonly<Record<StepOf<'knead'>['how'], string>> = {
  push: 'Heel of the hand, quarter turns. Stop when it is smooth, whatever the clock says.',
  press: 'Gather the flakes and press them into one block; no tearing yet.',
  tread: 'In a strong bag, flat with the heels, fold in three, again. Clean socks, clean floor under the bag.',
  twist: 'Pull out, fold, twist, until it stretches without a tear; wet the fingers when it tightens.',
  fold: 'Most of the flour over it; press and fold, turn, press. Do not knead.',
  beat: 'Until bubbles pull in strings and the spoon leaves a hole that closes slowly.',
  paddle: 'Fingers spread, rubbing, until it is crumbs between lentil and pea, each as damp as the next.',
  stir: 'Off the flame the semolina comes in as rain, whisked; then low, without stopping, until it leaves the pan and the spoon. Butter and cheese at the end.',
  draw: 'Roll and draw the rope a third thinner, oil it, and lay it back in its coil without a turn on a turn.',
}
const mixerLeads: Partial<Readonly<Record<StepOf<'knead'>['how'], string>>> = {
  push: 'Hook, slow. Stop halfway and scrape; it is done when the bowl is clean.',
  press: 'Paddle, slow, until it holds when pressed.',
  twist: 'Hook, slow, with rests; the last minutes by hand.',
  beat: 'Paddle, middle speed; stop when it pulls in strings.',
  paddle: 'Paddle, slow. No ball: as soon as it gathers it has too much water or too much time.',
}
const processorLeads: Partial<Readonly<Record<StepOf<'knead'>['how'], string>>> = {
  push: 'In pulses, until it gathers on the blade; then half a minute, and a few turns by hand.',
  press: 'In pulses, to damp crumbs; then press them together by hand.',
  paddle: 'In short pulses, to even crumbs; stop before they gather.',
}
export const workerWords: Readonly<Record<Worker, string>> = {
  hand: 'by hand',
  mixer: 'in the mixer',
  processor: 'in the processor',
}
const leadsBy: Readonly<Record<Worker, Partial<typeof handLeads>>> = {
  hand: handLeads,
  mixer: mixerLeads,
  processor: processorLeads,
}
export const kneadLead = (step: StepOf<'knead'>, by: Worker): string => leadsBy[by][step.how] ?? handLeads[step.how]

const readyWords: Readonly<Record<string, string>> = {
  scale: 'The scale, on and level',
  'fine-scale': 'A scale to 0.1 g for what is small',
  jug: 'A jug for the water',
  stick: 'A stick to stir the scald',
  thermometer: 'A thermometer',
  gloves: 'Gloves and eye protection, for the alkali',
  'no-aluminium': 'Steel, glass or plastic for the alkali; no aluminium',
  'damp-cloth': 'A damp cloth, or an upturned bowl',
  bag: 'A strong bag',
  spray: 'Water in a spray',
  'flour-jar': 'The jar of flour for the board, weighed',
  'starch-jar': 'The jar of starch for the board, weighed',
  'board-bare': 'The board, bare and dry',
  'board-floured': 'The board, ready to flour',
  handle: 'The roller clamped, its handle in',
  'hopper-guard': 'The press with its die, guard and pusher on',
  trays: 'Trays, dusted or lined',
  ricer: 'A ricer or a sieve',
  'fridge-room': 'Room in the fridge for the night',
  'pot-on': 'The pot: these go straight in',
}
export const readyWord = ({ id, name }: StepOf<'ready'>['items'][number]): string => name ?? readyWords[id] ?? id

/** How this dough is felt. */
export function feelTest({ steps, control }: Plan): string {
  if (steps.some((step) => step.kind === 'spread')) return 'Bend a corner of the slab.'
  if (steps.some((step) => (step.kind === 'pour' || step.kind === 'knead') && step.how === 'beat'))
    return 'Lift the spoon, and watch how it falls.'
  return control.by === 'base' ? 'Press it with a floured finger.' : 'Squeeze a fistful.'
}
