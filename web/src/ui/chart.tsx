/** One chart of the application: made once, resized with its place, described in words, and handed out as SVG, PNG and CSV. Import it lazily: the chart library is large. */
import { Box } from '@chakra-ui/react';
import { CustomChart, HeatmapChart, LineChart, ScatterChart } from 'echarts/charts';
import {
  GridComponent,
  MarkAreaComponent,
  MarkLineComponent,
  TooltipComponent,
  VisualMapComponent,
} from 'echarts/components';
import { init, use as registerCharts, type EChartsCoreOption, type EChartsType } from 'echarts/core';
import { SVGRenderer } from 'echarts/renderers';
import { useEffect, useRef } from 'react';
import { download, svgToPng } from '../lib/download.ts';
import { useSettings } from '../session/settings.ts';
import { spoken } from '../lib/words.ts';
import { SaveMenu } from './save-menu.tsx';
import { colours, type ColourName } from './theme/colours.ts';
import { fontsFor } from './theme/fonts.ts';

registerCharts([
  LineChart,
  CustomChart,
  ScatterChart,
  HeatmapChart,
  GridComponent,
  MarkLineComponent,
  MarkAreaComponent,
  TooltipComponent,
  VisualMapComponent,
  SVGRenderer,
]);

export const { body: chartWords, figures: chartFigures } = fontsFor(spoken().language);

export type Paint = (name: ColourName) => string;

export interface ChartProps {
  /** Called with the theme's colours; must be stable between renders that show the same. */
  readonly option: (colour: Paint) => EChartsCoreOption;
  /** What the chart says, for those who do not see it. */
  readonly label: string;
  /** File name without ending. */
  readonly name: string;
  readonly csv: () => string;
  readonly height?: number | string;
  /** The menu stands in the head of the panel above, at the right. */
  readonly savesOver?: boolean;
}

export function Chart({ option, label, name, csv, height = '210px', savesOver = false }: ChartProps) {
  const theme = useSettings((state) => state.theme);
  const holder = useRef<HTMLDivElement>(null);
  const chart = useRef<EChartsType | null>(null);

  useEffect(() => {
    if (!holder.current) return undefined;
    const made = init(holder.current, null, { renderer: 'svg' });
    chart.current = made;
    const observer = new ResizeObserver(() => made.resize());
    observer.observe(holder.current);
    return () => {
      observer.disconnect();
      made.dispose();
      chart.current = null;
    };
  }, []);

  useEffect(() => {
    chart.current?.setOption(
      { animation: false, textStyle: { fontFamily: chartWords }, ...option((colour) => colours[colour][theme]) },
      { notMerge: true },
    );
  }, [option, theme]);

  const svg = () => chart.current?.renderToSVGString() ?? '';
  return (
    <Box position="relative" {...(savesOver ? { height: '100%' } : {})}>
      <Box ref={holder} role="img" aria-label={label} height={height} width="100%" />
      <Box
        display="flex"
        justifyContent="flex-end"
        {...(savesOver ? { position: 'absolute', top: '-44px', insetEnd: '0' } : {})}
      >
        <SaveMenu
          what={name}
          ways={[
            { name: 'SVG', save: () => download(`${name}.svg`, 'image/svg+xml', svg()) },
            { name: 'PNG', save: () => void svgToPng(svg(), `${name}.png`, colours.surface[theme]) },
            { name: 'CSV', save: () => download(`${name}.csv`, 'text/csv', csv()) },
          ]}
        />
      </Box>
    </Box>
  );
}

/** Look of an axis: quiet figures, a rule for the line. */
export function axisLook(colour: Paint) {
  return {
    axisLabel: { color: colour('quiet'), fontFamily: chartFigures, fontSize: 12 },
    axisLine: { lineStyle: { color: colour('line') } },
    splitLine: { lineStyle: { color: colour('line') } },
    nameTextStyle: { color: colour('quiet'), fontFamily: chartWords, fontSize: 12 },
  };
}
