/** The screen as a gauge: measured once against a card, checked with a second length, then at life size; and on paper. */
import {
  CARD_MM,
  checkedBy,
  formatNumber,
  gaugePage,
  gaugeSvg,
  NOMINAL_PX_PER_MM,
  PAPERS,
  pxPerMmOfCard,
  withSize,
  type Blank,
  type Checked,
  type GaugePage,
  type Kitchen,
  type Shape,
} from '@harina/core'
import { useState } from 'react'
import { download, plainFileName } from '../../devices/download.ts'
import { LifeSize } from '../../ui/gauge/LifeSize.tsx'
import { useScreenScale, type ScreenScale } from '../../ui/gauge/useScreenScale.ts'
import { useWorked } from '../../state/worked.ts'
import { QuantityField } from '../../ui/QuantityField.tsx'
import { ShapeEngraving } from '../../ui/ShapeEngraving.tsx'
import { useUnits } from '../../ui/units.ts'
import { useWidth } from '../../ui/useWidth.ts'
import { notify } from '../../state/notify.ts'
import { engravingOf } from '../../workers/engraving.ts'
import { blankWords, type Worded } from '../../words/index.ts'

function HoldACard({ onFits }: { onFits: (pxPerMm: number) => void }) {
  const [cardPx, setCardPx] = useState(Math.round(CARD_MM.width * NOMINAL_PX_PER_MM))
  return (
    <section aria-label="Hold a card against it" className="flex flex-col gap-3">
      <p className="max-w-[60ch] text-md leading-snug">
        Hold any bank card flat against the screen, its left edge on the left line. Slide until the right edge meets the
        right line. This is done once for this screen.
      </p>
      {/* Never made smaller than it is: a narrow screen moves along it. */}
      <div className="overflow-x-auto" aria-hidden="true">
        <div
          className="border-2 border-ink bg-ground"
          style={{ width: cardPx, height: cardPx * (CARD_MM.height / CARD_MM.width), borderRadius: cardPx * 0.037 }}
        />
      </div>
      <div className="flex items-center gap-3">
        <button
          type="button"
          className="box min-h-11 px-4"
          aria-label="A little narrower"
          onClick={() => setCardPx(cardPx - 1)}
        >
          −
        </button>
        <input
          type="range"
          aria-label="Width of the card on the screen"
          className="h-11 w-75 min-w-24 shrink"
          min={120}
          max={900}
          value={cardPx}
          onChange={(event) => setCardPx(Number(event.target.value))}
        />
        <button
          type="button"
          className="box min-h-11 px-4"
          aria-label="A little wider"
          onClick={() => setCardPx(cardPx + 1)}
        >
          +
        </button>
        <button type="button" className="action shrink-0" onClick={() => onFits(pxPerMmOfCard(cardPx))}>
          It fits
        </button>
      </div>
    </section>
  )
}

function SecondLength({ scale }: { scale: ScreenScale }) {
  const [measure, room] = useWidth(640)
  const { lengthFigure, units } = useUnits()
  const [result, setResult] = useState<Checked | null>(null)
  const pxPerMm = scale.pxPerMm ?? NOMINAL_PX_PER_MM
  // As long as the screen has room for, and never less than a thumb.
  const drawnMm = Math.max(40, Math.min(150, Math.floor((room - 20) / pxPerMm / 10) * 10))
  return (
    <section ref={measure} aria-label="Check with a second length" className="flex min-w-0 flex-col gap-2">
      <p className="max-w-[60ch] text-md leading-snug">
        Now lay a ruler on this line. It should read {lengthFigure(drawnMm)} {units.length}. What does it read?
      </p>
      <svg width={drawnMm * pxPerMm + 4} height="26" role="img" aria-label={`A line of ${drawnMm} mm`}>
        <path d={`M2 3v20m0-10h${drawnMm * pxPerMm}m0-10v20`} stroke="var(--ink)" strokeWidth="1.6" fill="none" />
      </svg>
      <p>
        <QuantityField
          label="The ruler reads"
          shown={lengthFigure(drawnMm)}
          unit="mm"
          min={drawnMm * 0.5}
          max={drawnMm * 2}
          widthCh={6}
          className="figure text-3xl font-semibold"
          onChange={(readMm) => setResult(checkedBy(pxPerMm, drawnMm, readMm))}
        />{' '}
        {units.length}
      </p>
      <div className="flex gap-4">
        <button
          type="button"
          className="action"
          onClick={() => {
            const { pxPerMm: next, close, offPercent } = result ?? checkedBy(pxPerMm, drawnMm, drawnMm)
            scale.set(next, true)
            notify(
              close ? 'Both lengths agree' : `It was ${formatNumber(Math.abs(offPercent), 1)} % off, and is put right`,
            )
          }}
        >
          Done
        </button>
        <button type="button" className="quiet" onClick={() => scale.set(null, false)}>
          The card again
        </button>
      </div>
    </section>
  )
}

/** What stands under each drawing of the paper gauge, in the order of `blankDrawings`. */
function labelsOf(blank: Blank, wallMm: number, units: Worded): readonly string[] {
  const { length } = units
  switch (blank.type) {
    case 'rope':
      return [
        `Rope: ${length(blank.diameterMm)} thick, cut at ${length(blank.cutMm)}`,
        ...(blank.drawn ? [`Then ${length(blank.drawn.diameterMm)} between the lines`] : []),
        'The finished piece',
      ]
    case 'sheet':
      return [
        `Cut ${length(blank.widthMm)} wide, ${length(blank.lengthMm)} long`,
        `Thickness: ${length(blank.thicknessMm)}`,
        'The finished piece',
      ]
    case 'disc':
      return [`Round of ${length(blank.diameterMm)}`, `Thickness: ${length(blank.thicknessMm)}`, 'The finished piece']
    case 'die':
      return [`Cut at ${length(blank.cutMm)}`, `Wall: ${length(wallMm)}`, 'The finished piece']
    case 'drop':
      return [`Hole: ${length(blank.holeMm)}`, `About ${length(blank.lengthMm)} long`, 'The finished piece']
  }
}

const paperOf = ({ units }: Worded) => (units.length === 'mm' ? 'a4' : 'letter')
/** The line that is measured first, as it should read. */
const checkLine = (units: Worded): string => units.length(PAPERS[paperOf(units)].checkMm)

async function paperPage(shape: Shape, units: Worded): Promise<GaugePage> {
  const piece = await engravingOf(shape).catch(() => undefined)
  return gaugePage({
    blank: shape.blank,
    wallMm: shape.wallMm,
    paper: paperOf(units),
    words: {
      title: shape.name,
      lead: `Print at full size, not fitted to the page; measure the line below first. ${blankWords(shape.blank, units)}.`,
      check: checkLine(units),
      labels: labelsOf(shape.blank, shape.wallMm, units),
    },
    ...(piece ? { piece } : {}),
  })
}

async function savePdf(shape: Shape, units: Worded): Promise<void> {
  const [page, { gaugePdf }] = await Promise.all([paperPage(shape, units), import('../../ui/gauge/gaugePdf.ts')])
  const bytes = await gaugePdf(page, `${shape.name}, gauge`)
  download(`${plainFileName(shape.name) || 'shape'}-gauge.pdf`, bytes as BlobPart, 'application/pdf')
}

async function saveSvg(shape: Shape, units: Worded): Promise<void> {
  download(
    `${plainFileName(shape.name) || 'shape'}-gauge.svg`,
    gaugeSvg(await paperPage(shape, units)),
    'image/svg+xml',
  )
}

function OnScreen({ shape, scale }: { shape: Shape; scale: ScreenScale }) {
  const worked = useWorked()
  const units = useUnits()
  const [blank, setBlank] = useState(shape.blank)
  const family = worked?.ok ? worked.value.dough.family : 'semolina'
  const { pxPerMm } = scale
  if (pxPerMm === null) return null
  const changed = JSON.stringify(blank) !== JSON.stringify(shape.blank)
  return (
    <section aria-label={`${shape.name} at life size`} className="flex min-w-0 flex-col gap-3">
      <p className="leading-snug">
        Hold dough against it. Drag a knob for any size{changed ? '. ' : '; '}
        {changed && (
          <button type="button" className="quiet" onClick={() => setBlank(shape.blank)}>
            Back to {blankWords(shape.blank, units)}
          </button>
        )}
        {!changed && 'these are of the shape.'}
      </p>
      <LifeSize
        blank={blank}
        wallMm={shape.wallMm}
        pxPerMm={pxPerMm}
        family={family}
        onChange={(key, mm) => setBlank(withSize(blank, key, mm))}
      />
      <figure>
        <ShapeEngraving shape={shape} width={440} height={220} pxPerMm={pxPerMm} />
        <figcaption className="small">The finished piece, at life size where there is room.</figcaption>
      </figure>
    </section>
  )
}

export default function Gauge({ kitchen }: { kitchen: Kitchen }) {
  const worked = useWorked()
  const units = useUnits()
  const scale = useScreenScale()
  // A sheet is held against what the roller makes of it.
  const shape = worked?.ok
    ? { ...worked.value.shape, blank: worked.value.cut.blank }
    : kitchen.shapes.values().next().value
  if (!shape) return null
  return (
    <div className="grid gap-x-10 gap-y-5 lg:grid-cols-[minmax(0,1fr)_300px]">
      <div className="min-w-0">
        <h1 className="head text-3xl">
          {scale.pxPerMm !== null && scale.checked ? shape.name : 'A gauge on the screen'}
        </h1>
        {scale.pxPerMm === null && <HoldACard onFits={(pxPerMm) => scale.set(pxPerMm, false)} />}
        {scale.pxPerMm !== null && !scale.checked && <SecondLength scale={scale} />}
        {scale.pxPerMm !== null && scale.checked && <OnScreen key={shape.id} shape={shape} scale={scale} />}
      </div>
      <aside className="flex flex-col gap-3 border-l border-line pl-5 leading-snug">
        <h2 className="head text-lg">On paper</h2>
        <p>
          {shape.name} at full size on a page, with a line of {checkLine(units)} to measure first. Print it without
          fitting to the page.
        </p>
        <button
          type="button"
          className="box min-h-11 self-start font-semibold"
          onClick={() => void savePdf(shape, units)}
        >
          Paper gauge (PDF)
        </button>
        <button type="button" className="quiet self-start" onClick={() => void saveSvg(shape, units)}>
          The same as SVG
        </button>
        {scale.pxPerMm !== null && (
          <>
            <h2 className="head mt-3 text-lg">This screen</h2>
            <p>
              {formatNumber(scale.pxPerMm, 2)} pixels a millimetre,{' '}
              {scale.checked ? 'both lengths agreed' : 'not yet checked'}. It also stands at the bench, while you shape.
            </p>
            <button type="button" className="quiet self-start" onClick={() => scale.set(null, false)}>
              Measure this screen again
            </button>
          </>
        )}
      </aside>
    </div>
  )
}
