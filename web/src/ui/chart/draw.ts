/** The chart package, with only what our charts are made of; a file of its own, fetched by the first chart that is shown. */
import { LineChart, ScatterChart } from 'echarts/charts'
import { GridComponent, MarkAreaComponent, MarkLineComponent } from 'echarts/components'
import { init, use as include, type EChartsCoreOption } from 'echarts/core'
import { SVGRenderer } from 'echarts/renderers'

include([LineChart, ScatterChart, GridComponent, MarkAreaComponent, MarkLineComponent, SVGRenderer])

export type Option = EChartsCoreOption

export interface Drawing {
  set(option: Option): void
  resize(width: number): void
  dispose(): void
}

export function drawInto(element: HTMLElement, size: { readonly width: number; readonly height: number }): Drawing {
  const chart = init(element, null, { renderer: 'svg', ...size })
  return {
    set: (option) => chart.setOption(option, { notMerge: true }),
    resize: (width) => chart.resize({ width, height: size.height }),
    dispose: () => chart.dispose(),
  }
}
