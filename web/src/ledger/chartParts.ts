import type { EChartsOption } from 'echarts'

type Ink = (token: string) => string

const axis = (ink: Ink) => ({
  axisLabel: { color: ink('ink') },
  axisLine: { lineStyle: { color: ink('quiet') } },
  splitLine: { lineStyle: { color: ink('hairline') } },
})
const tooltip = (ink: Ink) => ({
  backgroundColor: ink('surface'),
  borderColor: ink('hairline'),
  textStyle: { color: ink('ink') },
})
/** Hatched, so that two bars are told apart without their colours. */
const hatched = (ink: Ink) => ({
  symbol: 'rect',
  dashArrayX: [1, 0],
  dashArrayY: [2, 4],
  rotation: Math.PI / 4,
  color: ink('surface'),
})

interface Bars {
  readonly names: readonly string[]
  readonly series: readonly { readonly name: string; readonly values: readonly number[] }[]
  /** Lying bars have their names at the side. */
  readonly lying?: boolean
  readonly said: (value: number) => string
  /** A line across at this height, with its name. */
  readonly line?: { readonly at: number; readonly name: string }
}
const TOKENS = ['moss', 'heather', 'loch'] as const

/** Bars beside each other, the second series hatched. */
export const bars =
  ({ names, series, lying = false, said, line }: Bars) =>
  (ink: Ink): EChartsOption => {
    const labels = {
      type: 'category' as const,
      data: [...names],
      ...axis(ink),
      ...(lying
        ? { inverse: true }
        : {
            axisLabel: {
              color: ink('ink'),
              // Every name, aslant, as long as they can be read.
              ...(names.length > 5 ? { rotate: 48, width: 110, overflow: 'truncate' as const } : {}),
              ...(names.length <= 30 ? { interval: 0 } : {}),
            },
          }),
    }
    const values = {
      type: 'value' as const,
      ...axis(ink),
      axisLabel: { color: ink('ink'), formatter: (v: number) => said(v) },
    }
    return {
      grid: { left: 8, right: 20, top: 10, bottom: series.length > 1 ? 30 : 8, containLabel: true },
      ...(series.length > 1
        ? { legend: { bottom: 0, itemWidth: 14, itemHeight: 10, textStyle: { color: ink('ink') } } }
        : {}),
      tooltip: { trigger: 'axis', ...tooltip(ink), valueFormatter: (v) => said(Number(v)) },
      xAxis: lying ? values : labels,
      yAxis: lying ? labels : values,
      series: series.map((s, i) => ({
        type: 'bar' as const,
        name: s.name,
        data: [...s.values],
        barMaxWidth: 22,
        itemStyle: {
          color: ink(TOKENS[i] ?? 'quiet'),
          ...(i === 1 ? { decal: hatched(ink) } : {}),
        },
        ...(line && i === 0
          ? {
              markLine: {
                symbol: 'none',
                label: { formatter: line.name, color: ink('ink'), position: 'insideEndTop' as const },
                lineStyle: { color: ink('gorse'), type: 'dashed' as const },
                data: [lying ? { xAxis: line.at } : { yAxis: line.at }],
              },
            }
          : {}),
      })),
    }
  }

interface Ranges {
  readonly rows: readonly {
    readonly name: string
    readonly low: number
    readonly value: number
    readonly high: number
  }[]
  readonly said: (value: number) => string
  readonly line: { readonly at: number; readonly name: string }
}

/** What lies between a low and a high, with its middle as a dot. */
export const ranges =
  ({ rows, said, line }: Ranges) =>
  (ink: Ink): EChartsOption => ({
    grid: { left: 8, right: 20, top: 22, bottom: 8, containLabel: true },
    tooltip: {
      trigger: 'axis',
      ...tooltip(ink),
      formatter: (all) => {
        const at = (Array.isArray(all) ? all[0] : all)?.dataIndex ?? 0
        const row = rows[at]
        return row ? `${row.name}: ${said(row.value)}, ${said(row.low)} to ${said(row.high)}` : ''
      },
    },
    xAxis: {
      type: 'value',
      ...axis(ink),
      axisLabel: { color: ink('ink'), formatter: (v: number) => said(v) },
    },
    yAxis: { type: 'category', inverse: true, data: rows.map((r) => r.name), ...axis(ink) },
    series: [
      {
        type: 'bar',
        stack: 'range',
        data: rows.map((r) => r.low),
        itemStyle: { color: 'transparent' },
        barWidth: 8,
      },
      {
        type: 'bar',
        stack: 'range',
        data: rows.map((r) => r.high - r.low),
        itemStyle: { color: ink('heather'), borderRadius: 4, opacity: 0.55 },
        barWidth: 8,
      },
      {
        type: 'line',
        data: rows.map((r) => r.value),
        lineStyle: { opacity: 0 },
        symbol: 'circle',
        symbolSize: 10,
        itemStyle: { color: ink('moss') },
        markLine: {
          symbol: 'none',
          label: { formatter: line.name, color: ink('ink'), position: 'end' as const },
          lineStyle: { color: ink('gorse'), type: 'dashed' as const },
          data: [{ xAxis: line.at }],
        },
      },
    ],
  })
