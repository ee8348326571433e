/** Temperatures over time: the glue, the face beside the art, the cloth under it and the inside, against what they must and must not reach. */
import {
  type ChartData,
  type ChartDataset,
  Chart as ChartJs,
  LinearScale,
  LineController,
  LineElement,
  type Plugin,
  PointElement,
  type ScriptableLineSegmentContext,
} from 'chart.js';
import { useRef } from 'react';
import { Line } from 'react-chartjs-2';
import type { Simulated, SimulatedPlace } from '../../core/heatBench';
import { formatQuantity, type HouseUnits, toShown, UNITS } from '../../core/units';
import { type Colours, useColours } from '../../ui/look';
import { rampColour } from '../../ui/ramp';

ChartJs.defaults.font.family = "'Atkinson Hyperlegible Next Variable', system-ui, sans-serif";
ChartJs.register(LineController, LineElement, PointElement, LinearScale);

/** How strongly the time under the press is tinted. */
const SHUT_ALPHA = 0.1;

type Point = { x: number; y: number };
export interface Limit {
  name: string;
  tempC: number;
}

const PLACES: { place: SimulatedPlace; name: string; width: number; dash: number[] }[] = [
  { place: 'glue', name: 'glue', width: 4, dash: [] },
  { place: 'face', name: 'face beside the art', width: 2.5, dash: [7, 4] },
  { place: 'inside', name: 'inside', width: 2.5, dash: [2, 3] },
];
const FONT = "14px 'Atkinson Hyperlegible Next Variable', system-ui, sans-serif";

/** What is drawn beside the curves; the chart lives on while it changes. */
interface Marked {
  seen: Simulated;
  limits: readonly Limit[];
  ends: readonly { name: string; tempC: number }[];
  house: HouseUnits;
  colours: Colours;
}

/** Stages as bands with their names, limits and curves with theirs at the right. */
function marks(now: { current: Marked }): Plugin<'line'> {
  const shown = (c: number) => toShown(c, now.current.house.temperature);
  return {
    id: 'marks',
    beforeDatasetsDraw({ ctx, chartArea: { top, bottom, left, right }, scales: { x, y } }) {
      if (!x || !y) return;
      const { seen, limits, house, colours } = now.current;
      ctx.save();
      ctx.font = FONT;
      seen.stages.forEach(({ name, fromS, toS, shut }) => {
        const [a, b] = [Math.max(left, x.getPixelForValue(fromS)), Math.min(right, x.getPixelForValue(toS))];
        if (b <= a) return;
        if (shut) {
          ctx.globalAlpha = SHUT_ALPHA;
          ctx.fillStyle = colours.teal;
          ctx.fillRect(a, top, b - a, bottom - top);
          ctx.globalAlpha = 1;
        }
        ctx.fillStyle = colours.soft;
        ctx.textAlign = 'left';
        if (ctx.measureText(name).width < b - a - 6) ctx.fillText(name, a + 4, top + 14);
      });
      for (const { name, tempC } of limits) {
        const at = y.getPixelForValue(shown(tempC));
        if (at < top || at > bottom) continue;
        ctx.strokeStyle = colours.soft;
        ctx.setLineDash([1, 4]);
        ctx.lineWidth = 1.5;
        ctx.beginPath();
        ctx.moveTo(left, at);
        ctx.lineTo(right, at);
        ctx.stroke();
        ctx.fillStyle = colours.soft;
        ctx.textAlign = 'right';
        // two limits near each other: the upper one’s name above its line, the lower one’s below its own
        const crowded = limits.some((other) => other.tempC > tempC && y.getPixelForValue(shown(other.tempC)) > at - 17);
        ctx.fillText(`${name} ${formatQuantity(tempC, house.temperature)}`, right - 6, crowded ? at + 15 : at - 5);
      }
      ctx.restore();
    },
    afterDatasetsDraw({ ctx, chartArea: { right }, scales: { y } }) {
      if (!y) return;
      ctx.save();
      ctx.font = FONT;
      ctx.fillStyle = now.current.colours.ink;
      ctx.textAlign = 'left';
      let last = Number.NEGATIVE_INFINITY;
      for (const { name, tempC } of [...now.current.ends].sort((a, b) => b.tempC - a.tempC)) {
        const at = Math.max(y.getPixelForValue(shown(tempC)) + 5, last + 16);
        ctx.fillText(name, right + 6, at);
        last = at;
      }
      ctx.restore();
    },
  };
}

const curve = (seen: Simulated, place: SimulatedPlace, unit: 'C' | 'F'): Point[] =>
  seen.curves[place].timeS.map((x, i) => ({ x, y: toShown(seen.curves[place].tempC[i] as number, unit) }));

/** The colour of a piece of line is that of its temperature, as everywhere in the app. */
const byTemperature = (unit: 'C' | 'F') => ({
  borderColor: ({ p0, p1 }: ScriptableLineSegmentContext) => {
    const middle = ((p0.parsed.y ?? 0) + (p1.parsed.y ?? 0)) / 2;
    return rampColour(unit === 'F' ? ((middle - 32) * 5) / 9 : middle);
  },
});

interface HeatChartProps {
  seen: Simulated;
  /** Glue of the other variants, by name. */
  others?: readonly { name: string; seen: Simulated }[];
  limits: readonly Limit[];
  house: HouseUnits;
  /** Shown so long after the press opens, s. */
  afterS?: number;
}

export function HeatChart({ seen, others = [], limits, house, afterS = 45 }: HeatChartProps) {
  const unit = house.temperature;
  const colours = useColours();
  const opened = seen.stages.filter(({ shut }) => shut).at(-1)?.toS ?? 0;
  const until = Math.min(seen.stages.at(-1)?.toS ?? 0, opened + afterS);
  const datasets: ChartDataset<'line', Point[]>[] = [
    ...others.map(({ name, seen: other }) => ({
      label: `glue ${name}`,
      data: curve(other, 'glue', unit),
      borderColor: colours.soft,
      borderWidth: 1.5,
      pointRadius: 0,
    })),
    ...PLACES.map(({ place, width, dash }) => ({
      label: place,
      data: curve(seen, place, unit),
      borderWidth: width,
      borderDash: dash,
      borderColor: colours.ink,
      segment: byTemperature(unit),
      pointRadius: 0,
    })),
  ];
  const endOf = (seen: Simulated, place: SimulatedPlace) => {
    const { timeS, tempC } = seen.curves[place];
    const i = timeS.findLastIndex((t) => t <= until);
    return tempC[Math.max(0, i)] ?? 0;
  };
  const ends = [
    ...PLACES.map(({ place, name }) => ({ name, tempC: endOf(seen, place) })),
    ...others.map(({ name, seen: other }) => ({ name: `glue ${name}`, tempC: endOf(other, 'glue') })),
  ];
  const { read } = seen;
  const words = `As the press opens: glue ${formatQuantity(read.glueC, unit)}, face beside the art ${formatQuantity(read.faceC, unit)}, inside ${formatQuantity(read.insideC, unit)}.`;
  const now = useRef<Marked>({ seen, limits, ends, house, colours });
  now.current = { seen, limits, ends, house, colours };
  const own = useRef(marks(now));
  const data: ChartData<'line', Point[]> = { datasets };
  return (
    <div style={{ height: 320 }}>
      <Line
        data={data}
        aria-label={words}
        role="img"
        options={{
          animation: false,
          parsing: false,
          normalized: true,
          responsive: true,
          maintainAspectRatio: false,
          layout: { padding: { right: 130 } },
          events: [],
          scales: {
            x: {
              type: 'linear',
              min: 0,
              max: until,
              title: { display: true, text: 'seconds from loading', color: colours.soft, font: { size: 14 } },
              ticks: { color: colours.soft, font: { size: 14 }, maxTicksLimit: 12 },
              grid: { display: false },
            },
            y: {
              type: 'linear',
              title: { display: true, text: UNITS[unit].symbol, color: colours.soft, font: { size: 14 } },
              ticks: { color: colours.soft, font: { size: 14 } },
              grid: { color: colours.line },
            },
          },
        }}
        plugins={[own.current]}
      />
    </div>
  );
}
