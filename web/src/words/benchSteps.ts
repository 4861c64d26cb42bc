/** What each way of preparing, pouring and working says at the bench. */
import {
  formatNumber,
  type AfterPot,
  type Body,
  type KeptPress,
  type Light,
  type Plan,
  type PressPlan,
  type StepOf,
  type Worker,
} from '@harina/core'

interface Prepared {
  readonly title: string
  readonly lead: string
  readonly done: string
  /** It was done before this batch began. */
  readonly already?: string
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

const boilingBurns = {
  title: 'Boiling water',
  text: 'Turn the handle in, and drain the pan away from you.',
}
const bakingBurns = {
  title: 'A hot tray',
  text: 'Use dry cloths, and stand back as you open the oven: hot steam comes out. Prick whole potatoes first, or they may burst.',
}

export const prepareWords: Readonly<Record<StepOf<'prepare'>['what'], Prepared>> = {
  boil: {
    title: 'Boil the potatoes',
    lead: 'Whole and in their skins, from cold salted water, at a simmer. They are done when a thin knife slides in and they slip off it.',
    done: 'Cooked, go on',
    caution: boilingBurns,
  },
  'boil-peeled': {
    title: 'Boil the potatoes',
    lead: 'Peeled, in even pieces, from cold salted water, at a simmer. Drain them as soon as a knife slides in: they soak up water.',
    done: 'Cooked, go on',
    caution: boilingBurns,
  },
  steamer: {
    title: 'Steam the potatoes',
    lead: 'Whole and in their skins, in one layer over boiling water, lid on. They are done when a thin knife slides in.',
    done: 'Cooked, go on',
    caution: { title: 'Steam burns', text: 'Open the lid away from you, and wait for the cloud to go.' },
  },
  bake: {
    title: 'Bake it whole',
    lead: 'In the skin, on a rack or on salt, in a hot oven, until a knife meets no firm middle.',
    done: 'Baked, go on',
    caution: bakingBurns,
  },
  roast: {
    title: 'Roast the squash',
    lead: 'Halved and seeded, cut side down, in a hot oven until a spoon sinks in. Then scoop out the flesh and mash it.',
    done: 'Roasted, go on',
    caution: bakingBurns,
  },
  microwave: {
    title: 'Cook the potatoes',
    lead: 'Pricked, in their skins, turned over halfway. Let them stand for two minutes, then test with a knife.',
    done: 'Cooked, go on',
    caution: bakingBurns,
  },
  rice: {
    title: 'Peel and rice',
    lead: 'Peel them while they are hot, holding each in a cloth, and press them through the ricer or a sieve straight onto the board.',
    done: 'Riced, go on',
    caution: steamBurns,
  },
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
    lead: 'In a cloth over a bowl, in the fridge, for an hour or two, or overnight. What drips off now needs no flour later.',
    done: 'Drained, go on',
    already: 'Drained already, go on',
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
  soak: 'Onto the semolina, stirred until every grain is wet.',
  rub: 'In a ring round the rim, then rubbed with spread fingers to even crumbs. The first pour matters most.',
  thread: 'In a thread while the paddle turns, over two to four minutes. Crumbs, never a ball.',
  sprinkle: 'Sprinkled while mixing, so that no crumb gets more than its share.',
  scald: 'In a thread onto the flour, stirred with a stick. No hands in it yet.',
  beat: 'Beaten hard to a smooth paste first, then loosened.',
}
type Pours = Partial<typeof pourLeads>
const mixerPours: Pours = {
  rake: 'Down the wall while the hook turns slowly; stop and scrape until no dry flour is left.',
  fork: 'Down the wall while the hook turns slowly; stop and scrape until no dry flour is left.',
  rub: 'In a thin stream while the paddle turns slowly, to even crumbs.',
  sprinkle: 'In a thin stream while the paddle turns slowly, so that no crumb gets more than its share.',
  scald: 'In a thread down the wall while the paddle turns slowly; stop once to scrape, until no dry flour is left.',
  beat: 'The paddle beats it smooth first; then loosen it.',
}
const inProcessor =
  'Pulse the dry things first, to mix them. Then through the tube in a thin stream, pulsing, within half a minute.'
const processorPours: Pours = {
  rake: inProcessor,
  fork: inProcessor,
  rub: inProcessor,
  thread: inProcessor,
  sprinkle: inProcessor,
}
const poursBy: Readonly<Record<Worker, Pours>> = { hand: pourLeads, mixer: mixerPours, processor: processorPours }
export const pourLead = (step: StepOf<'pour'>, by: Worker): string =>
  step.combined
    ? 'Stir it in from the middle, only until it is smooth.'
    : (poursBy[by][step.how] ?? pourLeads[step.how])

/** What may go wrong while it is poured so by hand, and what to do. */
export const pourMishaps: Partial<Readonly<Record<StepOf<'pour'>['how'], { title: string; text: string }>>> = {
  fork: {
    title: 'If the wall breaks',
    text: 'Push flour against the leak with the scraper, and draw what ran out back into it.',
  },
  rub: { title: 'If lumps form', text: 'Pick them out, and rub each with a pinch of dry flour.' },
}

/** How a sheet is folded, as one says it across the bench. */
export const foldedWords = (inTo: StepOf<'fold'>['inTo']): string =>
  inTo === 'three'
    ? 'in three, like a letter'
    : inTo === 'turn'
      ? 'in three and in two by turns, a quarter turn between'
      : 'in two, always the same way'

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

/** What is left to do when the clock of the kneading has run out and it is not there yet. */
const kneadNotes: Readonly<Record<Body, string>> = {
  gluten: 'Still grainy at the end is thirst or haste: cover it half an hour, then three minutes more.',
  starch: 'Without gluten it does not tighten: stop when it is smooth, and keep it warm and covered.',
  batter: 'A few small lumps go while it stands.',
  base: 'Every turn more makes it tougher. Stop when it just holds.',
}
export const kneadNote = ({ how }: StepOf<'knead'>, body: Body): string =>
  how === 'stir'
    ? 'It catches at the bottom within seconds: scrape as you stir, and take it off when it leaves the pan.'
    : kneadNotes[how === 'fold' ? 'base' : body]

const gluten: Readonly<Record<Worker, string>> = {
  hand: 'A poke springs back slowly, the skin is whole, and the seam underneath has closed.',
  mixer:
    'It has balled up round the hook, the bowl is clean, and a poke springs back slowly. If the motor labours, stop and go on by hand.',
  processor: 'It gathers on the blade and the motor slows. Pinch it: smooth, and no longer grainy.',
}
const signs: Partial<Readonly<Record<StepOf<'knead'>['how'], string>>> = {
  press: 'The block holds together when it is lifted, and no dry flour falls out.',
  tread: 'The slab is smooth, and it closes over a fold.',
  twist: 'A rope of it stretches to twice its length without a tear.',
  fold: 'No dry flour is left, and it just holds together.',
  paddle: 'The crumbs are even; a fistful holds, and breaks when it is touched.',
  stir: 'It leaves the pan clean, and the spoon stands.',
  draw: 'The rope lies even in its coil, and gives when it is lifted.',
}

/** When it is kneaded, as one sees and feels it, whatever the clock says. */
export function kneadSign({ how, combined }: StepOf<'knead'>, body: Body, by: Worker): string {
  if (how === 'beat')
    return combined ? 'No dry streak is left.' : 'Bubbles rise, and it falls off the spoon in strings that hold.'
  if (how === 'push' && body === 'starch') return 'It is smooth, and its rim stays whole when it is pressed flat.'
  if (how === 'push' && body === 'base') return 'It is smooth, holds together, and comes away from the finger.'
  return signs[how] ?? gluten[by]
}

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
export const kneadLead = (step: StepOf<'knead'>, by: Worker): string =>
  step.combined
    ? 'Only until it is smooth, with a spoon or a whisk. It rests then, and the rest does the binding.'
    : (leadsBy[by][step.how] ?? handLeads[step.how])

interface Rested {
  readonly title: string
  readonly lead: string
  /** When it has rested long enough, as hands or eyes tell it. */
  readonly sign: string
  /** What a longer rest does, after so many hours. */
  readonly past: (hours: string) => string
}

const coldLead = 'Wrapped tight, flat, so that it comes back the sooner. Name and hour on it.'

const rests: Readonly<Record<Body, Rested>> = {
  gluten: {
    title: 'Rest, wrapped',
    lead: 'Wrapped tight, or under an upturned bowl. Skin on the dough shows later as grey streaks.',
    sign: 'A dough that springs back has not rested.',
    past: (hours) => `Past ${hours} it slackens.`,
  },
  starch: {
    title: 'Rest, wrapped warm',
    lead: 'Wrapped while it is warm. What dries cracks, and does not heal.',
    sign: 'Pressed flat, its rim stays whole.',
    past: (hours) => `Past ${hours} it stiffens and cracks.`,
  },
  batter: {
    title: 'Let it stand',
    lead: 'Cover the bowl. The flour swells while it stands; give it a few strokes before the pot.',
    sign: 'It thickens as it stands: lift the spoon again before the first goes in.',
    past: (hours) => `Longer than ${hours}: into the fridge.`,
  },
  base: {
    title: 'Rest, covered',
    lead: 'Under a cloth, on a dusted board. Wrapped warm it sweats, and then wants flour again.',
    sign: 'Pressed with a floured finger, the dent stays and the finger comes away clean.',
    past: (hours) => `Longer than ${hours}: into the fridge.`,
  },
}

const coldRests: Readonly<Record<Body, Pick<Rested, 'lead' | 'past'>>> = {
  gluten: {
    lead: coldLead,
    past: (hours) => `Past ${hours} it greys and slackens; salt and alkali slow that, a warm fridge hastens it.`,
  },
  starch: { lead: coldLead, past: (hours) => `Past ${hours} it dries and cracks; a warm fridge spoils it sooner.` },
  batter: {
    lead: 'Cover the bowl. Name and hour on it.',
    past: (hours) => `Past ${hours} it thins and sours; a warm fridge hastens it.`,
  },
  base: {
    lead: 'In a covered dish, flat. Name and hour on it.',
    past: (hours) => `Past ${hours} it weeps and slackens; a warm fridge hastens it.`,
  },
}

const restsOf: Readonly<Record<'sheet' | 'pieces' | 'crumb', Pick<Rested, 'title' | 'lead'>>> = {
  sheet: {
    title: 'Rest the sheet',
    lead: 'Rolled up in a bag, or between cloths. A sheet that has rested thins without springing back.',
  },
  pieces: {
    title: 'Chill the pieces',
    lead: 'On a tray in the fridge, bedded in semolina. A skin forms that holds them together in the pot.',
  },
  crumb: {
    title: 'Rest the crumbs, covered',
    lead: 'Covered, so that every crumb is as wet inside as outside. Then break up what is over a centimetre.',
  },
}

/** How this is laid to rest, and how one sees that it has rested. */
export function restedWords({ of, cold, oiled }: StepOf<'rest'>, body: Body): Rested {
  const usual = rests[body]
  if (oiled) {
    const { past } = cold ? coldRests[body] : usual
    const lead = 'Brush it thinly with oil all round, then cover it. The oil keeps a skin from forming.'
    return { ...usual, title: cold ? 'Rest in the fridge, oiled' : 'Rest, oiled', lead, past }
  }
  const { past } = cold ? coldRests[body] : usual
  if (of === 'crumb') return { ...usual, ...restsOf.crumb, past, sign: 'A crumb broken open is damp to its middle.' }
  if (of !== 'dough') return { ...usual, ...restsOf[of], past }
  return cold ? { ...usual, ...coldRests[body], title: 'Rest in the fridge' } : usual
}

const readyWords: Readonly<Record<string, string>> = {
  scale: 'The scale, on and level',
  cups: 'Cups and spoons, and a knife to level them',
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
  'semolina-jar': 'The jar of coarse semolina for the board, weighed',
  'starch-jar': 'The jar of starch for the board, weighed',
  'board-bare': 'The board, bare and dry',
  'board-floured': 'The board, ready to flour',
  'board-ridged': 'The ridged board, bare and dry',
  handle: 'The roller clamped, its handle in',
  'hopper-guard': 'The press with its die, guard and pusher on',
  trays: 'Trays, dusted or lined',
  ricer: 'A ricer or a sieve',
  'oil-brush': 'A saucer of oil and a brush',
  bowl: 'A wide bowl',
  well: 'Room on the board for a well, and a scraper',
  'fridge-room': 'Room in the fridge for the night',
  'fridge-space': 'Room in the fridge',
  'pot-on': 'The pot: these go straight in',
}
export const readyWord = ({ id, name }: StepOf<'ready'>['items'][number]): string => name ?? readyWords[id] ?? id

/** Less than this too dry or too wet, and no press minds. Points. */
const PRESS_MINDS = 0.5

/** How a dough suits a press. */
export function pressWords({ takes }: Pick<PressPlan, 'takes'>, { name, crumb }: KeptPress): string {
  if (!takes)
    return crumb
      ? 'It goes in as a dough, not as crumbs: a hand press or a ricer takes it, a screw does not.'
      : 'It goes in as a dough, a lump at a time.'
  const { as, window, judged } = takes
  const kneaded = as === 'dough'
  if (Math.abs(judged.outsideBy) < PRESS_MINDS)
    return kneaded
      ? 'Kneaded, it is right for this press: a ball keeps its shape and does not stick to the feed.'
      : 'The crumb is right for this press: a squeezed handful holds, and breaks when it is touched.'
  const by = formatNumber(Math.abs(judged.outsideBy), 1)
  return `${name} takes ${kneaded ? 'kneaded dough' : 'crumb'} of ${formatNumber(window.low, 0)} to ${formatNumber(window.high, 0)} %: this is ${by} points too ${judged.outsideBy < 0 ? 'dry, and strains it' : 'wet, and clogs it'}.`
}

/** How this dough is felt. */
export function feelTest({ steps, control }: Plan): string {
  if (steps.some((step) => step.kind === 'spread')) return 'Bend a corner of the slab.'
  if (steps.some((step) => (step.kind === 'pour' || step.kind === 'knead') && step.how === 'beat'))
    return 'Lift the spoon, and watch how it falls.'
  return control.by === 'base' ? 'Press it with a floured finger.' : 'Squeeze a fistful.'
}

/** What one sees of a sheet held against a window. */
export const lightWords: Readonly<Record<Light['id'], string>> = {
  none: 'No light',
  shadow: 'A hand’s shadow',
  fingers: 'Each finger',
  headline: 'A headline, to read',
  print: 'Small print, to read',
}

/** What may be done with cooked pieces. */
export const afterPotWords: Readonly<Record<AfterPot, string>> = {
  plain: 'Nothing more',
  rinse: 'Rinsed',
  ice: 'Into an ice bath',
  toss: 'Tossed in the sauce',
  butter: 'In browned butter',
  cream: 'In reduced cream',
  brown: 'Browned in a pan',
}

interface AfterWords {
  readonly title: string
  readonly lead: string
  readonly start: string
  readonly done: string
  readonly note: { readonly title: string; readonly text: string; readonly caution?: true }
}

const hotFat =
  'Water makes it spit: shake them dry first. Never leave the pan, and keep a lid beside it; no water on burning fat.'

/** What is done after the pot by a clock. */
export const afterSteps: Readonly<Record<Exclude<AfterPot, 'plain' | 'rinse'>, AfterWords>> = {
  ice: {
    title: 'Into the ice',
    lead: 'Drain them, then into water with plenty of ice, and stir until the middle is cold.',
    start: 'In the ice',
    done: 'Cold, go on',
    note: {
      title: 'Why',
      text: 'It stops the cooking at once and tightens the bite. Drain them well before the sauce.',
    },
  },
  toss: {
    title: 'Toss in the sauce',
    lead: 'Lift them a minute early into the hot sauce. Add cooking water by the spoon, and toss until the sauce clings.',
    start: 'In the pan',
    done: 'Coated, go on',
    note: { title: 'A hot pan', text: 'Shake the pan away from you, and stand back from the steam.', caution: true },
  },
  butter: {
    title: 'Brown the butter',
    lead: 'Over a middle flame until it foams, then smells of nuts. Off the heat, and the pieces in at once.',
    start: 'Butter in the pan',
    done: 'Brown, go on',
    note: { title: 'Hot fat', text: hotFat, caution: true },
  },
  cream: {
    title: 'Reduce the cream',
    lead: 'Simmer it until it coats a spoon, then add the pieces and a spoon of cooking water.',
    start: 'Cream in the pan',
    done: 'It coats the spoon, go on',
    note: {
      title: 'Boiling over',
      text: 'Cream climbs at once: a wide pan, a middle flame, and stay beside it.',
      caution: true,
    },
  },
  brown: {
    title: 'Brown in the pan',
    lead: 'Drained and dry, in one layer in hot fat. Leave them until they come loose, then turn them once.',
    start: 'In the pan',
    done: 'Brown, go on',
    note: { title: 'Hot fat', text: hotFat, caution: true },
  },
}
