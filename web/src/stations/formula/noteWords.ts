import { formatGrams, formatNumber, formatPercent, type SheetNote, type Worked } from '@harina/core'

export interface NoteWords {
  readonly title: string
  readonly text: string
}

const batchesWords = (n: number) => (n === 1 ? 'one batch' : `${n} batches`)

/** A margin note: what, why, how much and what to do. */
export function noteWords(note: SheetNote, { shape, lot, sheet, batch }: Worked, scaleStepG: number): NoteWords {
  const grams = (g: number) => `${formatGrams(g, scaleStepG)} g`
  switch (note.code) {
    case 'hydration-outside':
      return {
        title: 'This will not hold together',
        text: `This dough works from ${note.low} to ${note.high} on 14 % flour. Move the rule back, or choose another dough.`,
      }
    case 'shape-outside': {
      const points = formatNumber(Math.abs(note.outsideBy), 1)
      return note.outsideBy < 0
        ? {
            title: `${points} points stiff for ${shape.name}`,
            text: `It ${shape.tooStiff}. Give ${points} points more water, or choose a stiffer shape.`,
          }
        : {
            title: `${points} points soft for ${shape.name}`,
            text: `It ${shape.tooSoft}. Take ${points} points off, or choose a softer shape.`,
          }
    }
    case 'shape-unlisted':
      return {
        title: `${shape.name} is new to this dough`,
        text: 'The table has no window for the two together. Make a handful first.',
      }
    case 'flour-moisture': {
      const points = formatNumber(Math.abs(note.points), 1)
      const where = note.place ?? 'as typed'
      return note.points < 0
        ? {
            title: `${where}: ${points} points less water`,
            text: `Flour there holds about ${formatPercent(note.moisture * 100)} % water and has drunk some already. An estimate: a closed sack lags by weeks.`,
          }
        : {
            title: `${where}: ${points} points more water`,
            text: `Flour there is down to about ${formatPercent(note.moisture * 100)} % water and drinks more. An estimate: a closed sack lags by weeks.`,
          }
    }
    case 'lot-thirst': {
      const points = formatNumber(Math.abs(note.points), 1)
      return {
        title: `This flour wants ${points} ${note.points < 0 ? 'less' : 'more'}`,
        text: `Felt right that far ${note.points < 0 ? 'below' : 'above'} paper in ${batchesWords(note.batches)}, give or take ${formatNumber(2 * lot.sd, 1)}. The water above has it in.`,
      }
    }
    case 'hold-back':
      return {
        title: `Hold back ${grams(note.grams)}`,
        text: `Pour ${grams(note.startG)} first, the rest only if it asks. ${
          note.batches === 0
            ? 'No batch of this flour is in the log yet, so the margin is wide.'
            : `${note.batches === 1 ? 'One batch leaves' : `${note.batches} batches leave`} ${formatNumber(note.points, 1)} points of doubt.`
        }`,
      }
    case 'scale-coarse': {
      const amount = `${formatNumber(note.grams, note.grams < 0.1 ? 2 : 1)} g`
      const scale = `${formatNumber(scaleStepG, scaleStepG < 1 ? 1 : 0)} g scale`
      return note.percent >= 100
        ? {
            title: `${amount} is too little for a ${scale}`,
            text: `${note.ingredient} cannot be weighed so. Use a finer scale, or make more dough.`,
          }
        : {
            title: `${amount} on a ${scale}`,
            text: `${note.ingredient}: up to ${formatNumber(note.percent, 0)} % off by rounding. Use a finer scale if you have one.`,
          }
    }
    case 'salt-outside':
      return {
        title: `${formatPercent(batch.saltPercent)} % salt is high`,
        text: `This dough takes 0 to ${note.high} %. More tightens it; salt the pot instead.`,
      }
    case 'cut-over-board':
      return {
        title: 'Longer than the board',
        text: `A ${note.cutMm} mm cut does not fit on ${note.boardMm} mm. Set the board in Gear, or cut ${sheet.name} shorter.`,
      }
  }
}
