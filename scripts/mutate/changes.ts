/** One change to a figure or a sign by which the core advises. */
export interface Change {
  readonly file: string
  readonly from: string
  readonly to: string
}

const change = (file: string, from: string, to: string): Change => ({ file: `core/src/${file}`, from, to })

/** Each would mislead a maker; none may go unnoticed. */
export const changes: readonly Change[] = [
  change('lot/flourLot.ts', 'HOLD_BACK_SD = 2', 'HOLD_BACK_SD = 1.5'),
  change('lot/flourLot.ts', 'priorSd: 2,', 'priorSd: 2.5,'),
  change('bench/suggest.ts', 'crumbling: 2,', 'crumbling: 3,'),
  change('bench/suggest.ts', 'dry: 1,', 'dry: 1.5,'),
  change('bench/suggest.ts', 'tacky: -0.8,', 'tacky: -1,'),
  change('bench/suggest.ts', 'sticky: -1.6', 'sticky: -2'),
  change('bench/suggest.ts', 'ON_BASE_PER_POINT = 1.9', 'ON_BASE_PER_POINT = 3'),
  change('bench/suggest.ts', 'Math.max(left, 5)', 'Math.max(left, 1)'),
  change('bench/suggest.ts', "['wet-hands', 1.5]", "['wet-hands', 3]"),
  change('bench/suggest.ts', "plan.control.by === 'base') return 0", "plan.control.by === 'base') return 1"),
  change('bench/overPour.ts', 'overG <= plan.scaleStepG / 2', 'overG <= plan.scaleStepG * 2'),
  change('bench/airShift.ts', 'SOLIDS_14 = 86', 'SOLIDS_14 = 100'),
  change('bench/samples.ts', 'PIECE_TOLERANCE_PERCENT = 10', 'PIECE_TOLERANCE_PERCENT = 15'),
  change('bench/making.ts', 'LUMP_TOLERANCE = 0.03', 'LUMP_TOLERANCE = 0.06'),
  change('bench/bowl.ts', 'DRIED_MOISTURE = 0.125', 'DRIED_MOISTURE = 0.135'),
  change('bench/planSteps.ts', 'SCALDS_C = 60', 'SCALDS_C = 70'),
  change('bench/planSteps.ts', 'HAND_WARM_C = 45', 'HAND_WARM_C = 55'),
  change('bench/planSteps.ts', 'STEAMING = 20', 'STEAMING = 30'),
  change('bench/planSteps.ts', 'PLIABLE_C = 15', 'PLIABLE_C = 12'),
  change('trouble/trouble.ts', 'CLEAR_POINTS = 0.3', 'CLEAR_POINTS = 1'),
  change('trouble/trouble.ts', 'THIRSTY_POINTS = 1', 'THIRSTY_POINTS = 2'),
  change('shape/resized.ts', 'FRESH_COOKS_WITH = 1.5', 'FRESH_COOKS_WITH = 2'),
  change('trouble/trouble.ts', 'SHOWN = 3', 'SHOWN = 1'),
  change('sheet/sanity.ts', 'SALT_LIMIT_PERCENT = 8', 'SALT_LIMIT_PERCENT = 10'),
  change('sheet/sanity.ts', 'FREE_WATER_GAP = 0.2', 'FREE_WATER_GAP = 0.3'),
  change('sheet/sanity.ts', 'GLUTEN_SHARE_PERCENT = 10', 'GLUTEN_SHARE_PERCENT = 20'),
  change('sheet/sanity.ts', 'doughMoisture.low - 2,', 'doughMoisture.low - 4,'),
  change('sheet/standing.ts', 'BEYOND_POINTS = 6', 'BEYOND_POINTS = 8'),
  change('sheet/balance.ts', 'fat: 37', 'fat: 35'),
  change('formula/storeMoisture.ts', 'n: 2.2857', 'n: 2.2'),
  change('match/judgeWindow.ts', 'NEAR_POINTS = 2', 'NEAR_POINTS = 3'),
  change('alkali/dose.ts', 'MOST_ALKALI_PERCENT = 2', 'MOST_ALKALI_PERCENT = 2.5'),
  change('scale/scaleCheck.ts', 'GOOD_SHARE = 0.002', 'GOOD_SHARE = 0.005'),
  change('lot/flourLot.ts', 'CRUMB_HOLD_BACK = 2', 'CRUMB_HOLD_BACK = 4'),
  change('formula/sackMoisture.ts', 'UNKNOWN_AGE_SHARE = 0.35', 'UNKNOWN_AGE_SHARE = 0.5'),
  change('formula/sackMoisture.ts', "'paper-sack': 120", "'paper-sack': 60"),
  change('sheet/knownRows.ts', 'DAMPEST = 0.15', 'DAMPEST = 0.18'),
  change(
    'sheet/keeping.ts',
    'PERISHABLE: Limits = { roomMin: 60, fridgeH: 24',
    'PERISHABLE: Limits = { roomMin: 120, fridgeH: 48',
  ),
  change(
    'sheet/keeping.ts',
    'POTATO: Limits = { roomMin: 60, fridgeH: 0',
    'POTATO: Limits = { roomMin: 60, fridgeH: 12',
  ),
  change('sheet/perishable.ts', 'PERISHABLE_REST_MIN = 60', 'PERISHABLE_REST_MIN = 120'),
  change('rack/forecast.ts', 'UNFITTED = 0.4', 'UNFITTED = 0.3'),
  change('rack/forecast.ts', 'CRACKS_OVER = 0.15', 'CRACKS_OVER = 0.2'),
  change('stove/water.ts', 'BACK_WITHIN_MIN = 1', 'BACK_WITHIN_MIN = 2'),
  change('stove/together.ts', 'DRAIN_MIN = 0.5', 'DRAIN_MIN = 1'),
  change('rack/air.ts', 'NEAR_NEVER_RH = 4', 'NEAR_NEVER_RH = 8'),
  change('recipe/contradictions.ts', 'MOST_SALT_PERCENT = 8', 'MOST_SALT_PERCENT = 10'),
  change('recipe/contradictions.ts', 'TOTAL_OFF = 0.06', 'TOTAL_OFF = 0.1'),
  change('recipe/contradictions.ts', 'CLAIM_OFF = 0.04', 'CLAIM_OFF = 0.08'),
  change('recipe/contradictions.ts', 'WINDOW_MARGIN = 4', 'WINDOW_MARGIN = 7'),
]
