import { FIGURES } from '@ichnograph/core';
import type { ClassInsight } from '@ichnograph/contract';
import { BarElement, CategoryScale, Chart, LinearScale, Tooltip } from 'chart.js';
import { useState } from 'react';
import { Bar } from 'react-chartjs-2';
import { figure } from '../common/figures';
import { Segments } from '../ui/segments';
import { binsOf, placeIn, spreadOf } from './bins';
import { FIGURE_NAMES } from './figure-names';
import { namesOf } from './names';

Chart.register(BarElement, CategoryScale, LinearScale, Tooltip);

const WAYS = ['Charts', 'Tables'] as const;
// Figures of a chart are set like all other figures.
Chart.defaults.font.family = '"Atkinson Hyperlegible Next", sans-serif';
const INK = '#16202e';
const [BARS, ITS_BAR] = ['#1f6f63', '#8a5a00'];
const RULE = '#c9cdc4';
const STILL = window.matchMedia('(prefers-reduced-motion: reduce)').matches;

/** How marks and the figures of structure lie over the class; each chart is also a table. */
export function Spread({ insight }: { insight: ClassInsight }) {
  const [way, setWay] = useState<(typeof WAYS)[number]>('Charts');
  const people = insight.works.map(({ members }) => namesOf(members));
  const [picked, setPicked] = useState<number | null>(null);
  const all = [
    {
      name: 'Marks, per cent',
      values: insight.works.map(({ mark: { sum, outOf } }) => (outOf === 0 ? 0 : (sum / outOf) * 100)),
      range: [0, 100] as [number, number],
    },
    ...FIGURES.map((name) => ({
      name: FIGURE_NAMES[name],
      values: insight.works.map(({ figures }) => figures[name]),
      range: undefined,
    })),
  ];
  return (
    <>
      <div className="mb-3 flex flex-wrap items-center gap-x-5 gap-y-2">
        <div className="flex">
          <Segments label="Show as" options={WAYS} value={way} onChange={setWay} />
        </div>
        <label className="flex items-center gap-2">
          Where in it lies
          <select
            className="field w-auto py-1"
            value={picked ?? ''}
            onChange={({ target }) => setPicked(target.value === '' ? null : Number(target.value))}
          >
            <option value="">no one map</option>
            {people.map((name, i) => (
              <option key={insight.works[i]!.workId} value={i}>
                the map of {name}
              </option>
            ))}
          </select>
        </label>
      </div>
      <div className="grid gap-x-6 gap-y-5 sm:grid-cols-2 lg:grid-cols-4">
        {all.map(({ name, values, range }) => (
          <Distribution key={name} {...{ name, values, people, way, picked }} range={range} />
        ))}
      </div>
    </>
  );
}

function Distribution({
  name,
  values,
  people,
  way,
  picked,
  range,
}: {
  name: string;
  values: readonly number[];
  people: readonly string[];
  way: (typeof WAYS)[number];
  /** the position of the one map that is looked at */
  picked: number | null;
  range: [number, number] | undefined;
}) {
  const bins = binsOf(values, range);
  const { least, middle, most } = spreadOf(values);
  const isIts = ({ indices }: (typeof bins)[number]): boolean => picked !== null && indices.includes(picked);
  return (
    <section aria-label={name} className="min-w-0">
      <h2 className="font-semibold">{name}</h2>
      <p className="mb-1 text-sm text-quiet">
        {figure(least)} to {figure(most)}, half of them {figure(middle)} or more
        {picked !== null && (
          <b className="block text-ochre">
            {figure(values[picked]!)}, {placeIn(values, picked)}
          </b>
        )}
      </p>
      {way === 'Charts' ? (
        <div className="relative h-40 min-w-0 overflow-hidden">
          <Bar
            aria-label={`${name}: ${bins.map(({ label, indices }) => `${label}: ${indices.length}`).join('; ')}`}
            role="img"
            data={{
              labels: bins.map(({ label }) => label),
              datasets: [
                {
                  data: bins.map(({ indices }) => indices.length),
                  backgroundColor: bins.map((bin) => (isIts(bin) ? ITS_BAR : BARS)),
                  barPercentage: 0.95,
                  categoryPercentage: 0.95,
                },
              ],
            }}
            options={{
              maintainAspectRatio: false,
              animation: STILL ? false : { duration: 200 },
              scales: {
                x: { grid: { display: false }, ticks: { color: INK, maxRotation: 0 } },
                y: { beginAtZero: true, ticks: { precision: 0, color: INK }, grid: { color: RULE } },
              },
              plugins: {
                tooltip: {
                  callbacks: {
                    label: ({ dataIndex }) => bins[dataIndex]!.indices.map((i) => people[i]!),
                  },
                },
              },
            }}
          />
        </div>
      ) : (
        <table className="w-full text-sm">
          <tbody>
            {bins.map((bin) => (
              <tr key={bin.label} className={`border-b border-rule align-top ${isIts(bin) ? 'bg-ochre-wash' : ''}`}>
                <th scope="row" className="whitespace-nowrap pr-3 text-left font-mono font-normal">
                  {bin.label}
                </th>
                <td className="pr-3 text-right font-mono">{bin.indices.length}</td>
                <td className="words text-quiet">{bin.indices.map((i) => people[i]).join(', ')}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </section>
  );
}
