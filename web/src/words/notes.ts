import { formatNumber, formatPercent, giveOrTake, type SheetNote, type Worked } from '@harina/core'
import { restWords } from './doughs.ts'
import { inGrams, type Worded } from './units.ts'

export interface NoteWords {
  readonly title: string
  readonly text: string
}

export const batchesWords = (n: number) => (n === 1 ? 'one batch' : `${n} batches`)

interface Beside {
  readonly worked: Worked
  readonly units: Worded
  readonly scaleStepG: number
  readonly onBase: boolean
  readonly grams: (grams: number) => string
}

const notes: {
  readonly [C in SheetNote['code']]: (note: Extract<SheetNote, { code: C }>, beside: Beside) => NoteWords
} = {
  'hydration-outside': (note, { worked: { control, dough }, onBase }) => {
    const by = formatNumber(note.by, 1)
    const way = onBase
      ? { stiff: `Take ${by} of flour off`, soft: `Give ${by} more flour` }[note.side]
      : { stiff: `Give ${by} points more water`, soft: `Take ${by} points of water off` }[note.side]
    const isBatter = dough.family === 'batter'
    const off = note.side === 'stiff' ? (isBatter ? 'thick' : 'dry') : isBatter ? 'thin' : 'wet'
    const window = `${dough.name} works from ${note.low} to ${note.high} ${control.by === 'base' ? `on ${control.base}` : 'at standard 14 % flour moisture'}.`
    return note.severity === 'danger'
      ? {
          title: `Too ${off} to ${isBatter ? 'drop' : 'hold together'}`,
          text: `${window} ${way}, or choose another dough.`,
        }
      : {
          title: `Too ${off} for ${dough.name}`,
          text: `${window} ${way}, or call it what it is: ${note.suits.join('; ')}.`,
        }
  },
  'shape-outside': (note, { worked: { shape }, onBase }) => {
    const points = formatNumber(note.by, 1)
    const cure = onBase
      ? { stiff: `Take ${points} of flour off`, soft: `Give ${points} more flour` }
      : { stiff: `Give ${points} points more water`, soft: `Take ${points} points off` }
    const other =
      note.suits.length > 0
        ? `make ${note.suits.join(' or ')}, which want it so`
        : `choose ${note.side === 'stiff' ? 'a stiffer shape' : 'a softer shape'}`
    return {
      title: `${points} ${onBase ? '' : 'points '}${note.side} for ${shape.name}`,
      text: `It ${note.side === 'stiff' ? shape.tooStiff : shape.tooSoft}. ${cure[note.side]}, or ${other}.`,
    }
  },
  'no-water-left': (note) => ({
    title: `No water to pour: ${formatNumber(note.points, 1)} points too many`,
    text: 'Egg, milk or purée bring all of it and more than you asked for. Take some of them out, or give more flour.',
  }),
  proven: (note) => ({
    title: `${formatNumber(note.by, 1)} points ${note.side === 'soft' ? 'softer' : 'stiffer'} than usual, and proven`,
    text: 'You have made it so before, called it right, and found it good.',
  }),
  'shape-unlisted': (_, { worked: { shape } }) => ({
    title: `${shape.name} is new to this dough`,
    text: 'The table has no window for the two together. Make a handful first.',
  }),
  'flour-moisture': (note) => {
    const points = formatNumber(Math.abs(note.points), 1)
    const water = formatPercent(note.moisture * 100)
    const by = `${points} points ${note.points < 0 ? 'less' : 'more'} water`
    return note.place === null
      ? { title: `Flour at ${water} %: ${by}`, text: 'As typed, against flour at 14 %.' }
      : {
          title: `${note.place}: ${by}`,
          text: `There the flour holds about ${water} % water by now${note.points < 0 ? ', and has drunk some already' : ', and drinks more'}. Reckoned from its packing and the air; a weighed and dried spoonful is surer.`,
        }
  },
  'flour-damp': (note) => ({
    title: `${formatPercent(100 * note.moisture)} % water in the flour`,
    text: `Over ${formatNumber(100 * note.limit, 0)} % flour may mould. Smell it, and throw out what is musty or lumped; move the rest to a drier place, in something with a lid.`,
  }),
  'lot-thirst': (note, { worked: { lot } }) => {
    const points = formatNumber(Math.abs(note.points), 1)
    const learned = note.learnedAt
      ? ` Learned in ${note.learnedAt}, in another air: more is held back until it has been tried here.`
      : ''
    return {
      title: `This flour wants ${points} ${note.points < 0 ? 'less' : 'more'}`,
      text: `That is what ${batchesWords(note.batches)} wanted, give or take ${formatNumber(giveOrTake(lot), 1)}. It is included above.${learned}`,
    }
  },
  'thirsty-flour': (note) => ({
    title: `These flours drink ${formatNumber(Math.abs(note.points), 1)} points ${note.points < 0 ? 'less' : 'more'}`,
    text: `The windows on the rule stand ${note.points < 0 ? 'lower' : 'higher'} by that much. By the flour table; the feel decides.`,
  }),
  'hold-back': (note, { grams }) => ({
    title: `Hold back ${grams(note.grams)}`,
    text: `Pour ${grams(note.startG)} first, the rest only if it asks. ${
      note.batches === 0
        ? 'Harina does not know this flour in a dough like this yet, so the margin is wide.'
        : `${note.batches === 1 ? 'One batch leaves' : `${note.batches} batches leave`} ${formatNumber(note.points, 1)} points of doubt.`
    }`,
  }),
  'free-water': (note) => ({
    title: `Only ${formatPercent(note.available)} of ${formatPercent(note.effective)} is free`,
    text: 'The rest is held by purée, curd or egg and comes late. Judge the feel by the free water, the drying and the label by all of it.',
  }),
  'moisture-outside': (note) =>
    note.percent > note.high
      ? {
          title: `${formatPercent(note.percent)} % water in the dough`,
          text: `It holds best from ${note.low} to ${note.high} %. Steam the base off or bake it drier before more flour goes in: flour makes it heavy.`,
        }
      : {
          title: `${formatPercent(note.percent)} % water in the dough`,
          text: `It is soft and light from ${note.low} to ${note.high} %. Less flour, or a moister base.`,
        },
  'scale-coarse': (note, { units, scaleStepG }) => {
    const amount = units.mass(note.grams, note.grams < 0.1 ? 0.01 : 0.1)
    const scale = `${formatNumber(scaleStepG, scaleStepG < 1 ? 1 : 0)} g scale`
    return note.percent >= 100
      ? {
          title: `${amount} is too little for a ${scale}`,
          text: `${note.ingredient} cannot be weighed so. Use a finer scale, or make more dough.`,
        }
      : {
          title: `${amount} on a ${scale}`,
          text: `${note.ingredient}: up to ${formatNumber(note.percent, 0)} % off by rounding. Use a finer scale if you have one${note.alkali ? ', or make a stock solution' : ''}.`,
        }
  },
  'salt-over': (note) => ({
    title: `${formatPercent(note.percent)} % salt is not right`,
    text: `Over ${note.limit} % of the flour nobody makes a dough with. A point may be missing: check the row.`,
  }),
  'salt-outside': (note) =>
    note.percent > note.high
      ? {
          title: `${formatPercent(note.percent)} % salt is high`,
          text: `This dough takes ${note.low} to ${note.high} % on ${note.on}. More tightens it; salt the pot instead.`,
        }
      : {
          title: `${formatPercent(note.percent)} % salt is low`,
          text: `This dough takes ${note.low} to ${note.high} % on ${note.on}. With less it is slacker and sours sooner.`,
        },
  'fat-outside': (note) => ({
    title: `${formatPercent(note.percent)} % fat is high`,
    text: `This dough takes up to ${note.high} %. More shortens it, and dried pieces go stale sooner.`,
  }),
  'alkali-over': (note) => ({
    title: `${formatNumber(note.percent, 2)} % alkali cannot be right`,
    text: `Over ${note.limit} % of the flour, as sodium carbonate, is harsh and soapy. Take it down to what the dough’s table says; it is weighed, never spooned.`,
  }),
  'alkali-outside': (note) =>
    note.high === 0
      ? {
          title: 'Alkali in a dough without',
          text: 'The table has none for this dough. It yellows, firms and slackens late: make a handful first.',
        }
      : {
          title: `${formatNumber(note.percent, 2)} % alkali is ${note.percent > note.high ? 'much' : 'little'} here`,
          text: `As sodium carbonate this dough takes ${note.low} to ${note.high} % of the flour.`,
        },
  'raw-soda': (note) => ({
    title: `${formatNumber(note.percent, 2)} % baking soda, unbaked`,
    text: `It firms little and yellows late; boiling water turns part of it to carbonate.${note.severity === 'caution' ? ' So much tastes of soap.' : ''} Baked first it does more with less: see Alkali.`,
  }),
  'alkali-handling': () => ({
    title: 'Alkali burns skin and eyes',
    text: 'Gloves and eye protection. Powder into cold water, never water onto powder. No aluminium. As its label says; the Alkali drawer has the rest.',
  }),
  'no-gluten': (note) => ({
    title: 'Nothing holds this sheet',
    text: `${formatNumber(note.percent, 0)} % of the flour has gluten. A sheet, stamp or pull wants a wheat in it, or a scalded dough without gluten.`,
  }),
  'share-over': (note) =>
    note.isFlour
      ? {
          title: `${formatNumber(note.percent, 0)} % is much for this flour`,
          text: `${note.ingredient}: up to ${note.max} % is usual without a method of its own. It tears, or sits heavy.`,
        }
      : {
          title: `${formatNumber(note.percent, note.percent < 2 ? 1 : 0)} % is more than usual`,
          text: `${note.ingredient}: up to ${note.max} % on flour is usual. More tears a thin sheet, bleeds into the pot or tastes of nothing else.`,
        },
  'scald-short': (note, { units }) => ({
    title: `The dough ends at ${units.temperature(note.doughC)}`,
    text: `Its starch sets from about ${units.temperature(note.setsC)}, and little else holds it. Use hotter water, warm the flour and the bowl, or pour the water in two goes.`,
  }),
  gel: ({ points, doughC }, { units }) => {
    const by = formatNumber(Math.abs(points), 0)
    return points > 0
      ? {
          title: `Hot water: about ${by} % more of it`,
          text: `The pour lands at ${units.temperature(doughC)}, where part of the starch swells and holds water. Such a dough rolls out without springing back, and stays softer.`,
        }
      : {
          title: `Cooler water: about ${by} % less of it`,
          text: `The pour lands at ${units.temperature(doughC)}: less of the starch swells than this dough is used to, so it takes less water and springs back more.`,
        }
  },
  'never-dry': (note) => ({
    title: 'Not for the drying rack',
    text: `${note.ingredients.join(', ')}: never dried in room air. Cook, chill or freeze. Local food rules come first.`,
  }),
  'rest-cut': ({ asked, roomC }, { worked: { practice, dough }, units }) => {
    const [given, wanted] = [restWords(practice), restWords(asked)]
    const isNight = asked.restCold && !practice.restCold
    const keeps = isNight ? 'does not keep that long, even cold' : 'keeps no longer than that'
    const text = {
      dough: `${dough.name} ${keeps}.`,
      contents: isNight
        ? `With what is in it the dough ${keeps}.`
        : 'What is in it spoils sooner than flour and water.',
      heat: `At ${units.temperature(roomC)}, ${wanted} is too long to leave it out.`,
    }[asked.forbids]
    if (isNight) return { title: 'No night in the fridge', text: `${text} It rests ${given} instead.` }
    if (practice.restCold !== asked.restCold) return { title: `Rest it in the fridge, ${given}`, text }
    return { title: `Rest it ${given}, not ${wanted}`, text }
  },
  'cut-over-board': (note, { worked: { sheet }, units }) => ({
    title: 'Longer than the board',
    text: `A cut of ${units.length(note.cutMm)} does not fit on ${units.length(note.boardMm)}. Set the board in Gear, or cut ${sheet.name} shorter.`,
  }),
}

/** A margin note: what, why, how much and what to do. */
export const noteWords = (note: SheetNote, worked: Worked, scaleStepG: number, units: Worded = inGrams): NoteWords =>
  (notes[note.code] as (note: SheetNote, beside: Beside) => NoteWords)(note, {
    worked,
    units,
    scaleStepG,
    onBase: worked.control.by === 'base',
    grams: (g) => units.mass(g, scaleStepG),
  })
