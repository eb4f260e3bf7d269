import type { Legend } from '@ichnograph/core';
import { Segments } from '../../ui/segments';
import { Remark } from '../../ui/remark';
import { Section } from '../section';
import { takeOut } from '../../common/take-out';
import { useNewId, usePart } from '../use-sheet';
import { LegendEditor } from '../../legends';

const MODES = { guided: 'A kind brings its looks', free: 'Drawn by hand' } as const;
const READINGS = ['shape', 'fill', 'outline'] as const;

export function LegendSection() {
  const [part, change] = usePart('legend');
  const newId = useNewId();
  const { legend, styleMode, looks = 'open' } = part;
  const setLegend = (make: (before: Legend) => Partial<Legend>): void =>
    change((before) => ({ ...before, legend: { ...before.legend, ...make(before.legend) } }));
  return (
    <Section
      id="legend"
      title="What kinds of topic and link are there?"
      lead="Each kind has a shape and a colour of its own, so that one sees who said what."
    >
      <LegendEditor legend={legend} newId={newId} onChange={setLegend} remove={takeOut} />
      <div className="mt-6 flex flex-wrap items-center gap-x-6 gap-y-3">
        <Segments
          label="How kinds are shown"
          options={Object.values(MODES)}
          value={MODES[styleMode]}
          onChange={(value) =>
            change((before) => ({ ...before, styleMode: value === MODES.guided ? 'guided' : 'free' }))
          }
        />
        {styleMode === 'guided' ? (
          <label className="flex items-center gap-2">
            <input
              type="checkbox"
              className="accent-action"
              checked={looks === 'fixed'}
              onChange={({ target }) => change((before) => ({ ...before, looks: target.checked ? 'fixed' : 'open' }))}
            />
            The kind alone decides the looks
          </label>
        ) : (
          <fieldset className="flex items-center gap-3">
            <legend className="float-left mr-3">What shows the kind:</legend>
            {READINGS.map((reading) => {
              const readBy = legend.readBy ?? ['shape', 'fill'];
              return (
                <label key={reading} className="flex items-center gap-1.5">
                  <input
                    type="checkbox"
                    className="accent-action"
                    checked={readBy.includes(reading)}
                    disabled={readBy.length === 1 && readBy.includes(reading)}
                    onChange={({ target }) =>
                      setLegend(() => ({
                        readBy: READINGS.filter((one) => (one === reading ? target.checked : readBy.includes(one))),
                      }))
                    }
                  />
                  {reading}
                </label>
              );
            })}
          </fieldset>
        )}
      </div>
      {legend.linkKinds.length === 0 && <Remark>Without a kind of link, links are drawn plain.</Remark>}
    </Section>
  );
}
