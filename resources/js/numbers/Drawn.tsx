import { AreaChart, BarChart } from '@mantine/charts';
import '@mantine/core/styles/ColorSwatch.css';
import '@mantine/charts/styles.css';

import type { Drawing } from './drawing';

/** In pixels. */
const HEIGHT = 240;

/** No stop for Tab: whoever does not see it has the table. */
const PLAIN = { accessibilityLayer: false };

/** A figure as it is drawn; what it says stands under it as a table. */
export default function Drawn({ kind, rows, series }: Drawing) {
  const shared = { h: HEIGHT, data: rows, dataKey: 'when', series, withLegend: series.length > 1, legendProps: { verticalAlign: 'bottom' as const }, gridAxis: 'x' as const, tickLine: 'none' as const, yAxisProps: { allowDecimals: false, width: 44 }, tooltipAnimationDuration: 0 };
  return kind === 'area' ? (
    <AreaChart {...shared} type="stacked" curveType="linear" withDots={false} withGradient={false} fillOpacity={0.85} strokeWidth={1} areaProps={{ isAnimationActive: false }} areaChartProps={PLAIN} />
  ) : (
    <BarChart {...shared} barProps={{ isAnimationActive: false, maxBarSize: 26 }} barChartProps={PLAIN} />
  );
}
