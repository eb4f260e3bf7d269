import { DRAWING_TOOLS } from '@ichnograph/core';
import type { DrawingTool } from '@ichnograph/core';
import { useId, useState } from 'react';
import { Prose } from '../../ui/prose';
import { Segments } from '../../ui/segments';
import { Section } from '../section';
import { usePart } from '../use-sheet';

const LANGUAGES = {
  en: 'English',
  de: 'German',
  fr: 'French',
  es: 'Spanish',
  it: 'Italian',
  nl: 'Dutch',
  sv: 'Swedish',
  pt: 'Portuguese',
};
const VIEWS = ['Write', 'Read'] as const;
const TOOL_NAMES: Record<DrawingTool, string> = {
  arrange: 'Arranging: rows, stacks, tidying',
  looks: 'Shapes and colours by hand',
  notes: 'Notes, sources, addresses, files and marks',
  pictures: 'Pictures and sketches',
  regions: 'Regions and groups',
};

export function TaskSection() {
  const id = useId();
  const [task, change] = usePart('task');
  /** What is not set is left out: then it is as it always was. */
  const draw = (fields: {
    tidy?: boolean | undefined;
    mostOwnTopics?: number | undefined;
    gatheringHint?: string | undefined;
    ownMaps?: boolean | undefined;
    sharing?: boolean | undefined;
    comments?: boolean | undefined;
    tools?: DrawingTool[] | undefined;
    pictureFirst?: boolean | undefined;
  }): void =>
    change(({ drawing, ...before }) => {
      const next = Object.fromEntries(
        Object.entries({ ...drawing, ...fields }).filter(([, value]) => value !== undefined),
      );
      return Object.keys(next).length > 0 ? { ...before, drawing: next } : before;
    });
  const [view, setView] = useState<(typeof VIEWS)[number]>('Write');
  return (
    <Section id="task" title="What is it about?">
      {task.guidance && <p className="words mb-4 max-w-[70ch] bg-wash px-3 py-2">{task.guidance}</p>}
      <div className="grid gap-4">
        <label className="block">
          <span className="mb-1 block font-semibold">Title</span>
          <input
            className="field text-lg"
            value={task.title}
            maxLength={300}
            data-first
            onChange={({ target }) => change((before) => ({ ...before, title: target.value }))}
          />
        </label>
        <label className="block">
          <span className="mb-1 block font-semibold">Focus question</span>
          <input
            className="field"
            value={task.focusQuestion}
            maxLength={300}
            placeholder="The question that the map answers"
            onChange={({ target }) => change((before) => ({ ...before, focusQuestion: target.value }))}
          />
        </label>
        <div>
          <div className="mb-1 flex items-end justify-between">
            <label htmlFor={`${id}-brief`} className="font-semibold">
              Brief
            </label>
            <Segments label="Brief" options={VIEWS} value={view} onChange={setView} />
          </div>
          {view === 'Write' ? (
            <textarea
              id={`${id}-brief`}
              className="field min-h-28 font-mono text-sm"
              value={task.brief}
              maxLength={20_000}
              placeholder="What your students should do. Markdown: *slanted*, **strong**, - lists."
              onChange={({ target }) => change((before) => ({ ...before, brief: target.value }))}
            />
          ) : (
            <div className="card min-h-28 px-3 py-2">
              <Prose text={task.brief} />
            </div>
          )}
        </div>
        <label className="flex items-center gap-2">
          <span className="font-semibold">Language</span>
          <select
            className="field max-w-48"
            value={task.language}
            onChange={({ target }) => change((before) => ({ ...before, language: target.value }))}
          >
            {Object.entries(LANGUAGES).map(([code, name]) => (
              <option key={code} value={code}>
                {name}
              </option>
            ))}
            {!(task.language in LANGUAGES) && <option value={task.language}>{task.language}</option>}
          </select>
          <span className="text-sm text-quiet">of terms and phrases: which forms of a word count as the same</span>
        </label>
        <details>
          <summary className="cursor-pointer font-semibold">How students draw</summary>
          <div className="mt-2 grid gap-3 border-l border-rule pl-4">
            <Tick is={task.drawing?.tidy !== false} onChange={(is) => draw({ tidy: is ? undefined : false })}>
              They may have the map tidied by the computer
            </Tick>
            <Tick is={task.drawing?.ownMaps === true} onChange={(is) => draw({ ownMaps: is ? true : undefined })}>
              They may bring in one of their own maps
            </Tick>
            <Tick is={task.drawing?.sharing !== false} onChange={(is) => draw({ sharing: is ? undefined : false })}>
              They may show their map to others, of their classes or by a link
            </Tick>
            {task.drawing?.sharing !== false && (
              <Tick is={task.drawing?.sharing === true} onChange={(is) => draw({ sharing: is ? true : undefined })}>
                They may let others draw on it too
              </Tick>
            )}
            <Tick is={task.drawing?.comments !== false} onChange={(is) => draw({ comments: is ? undefined : false })}>
              They may write comments on their map while they draw, to one another and to you
            </Tick>
            <fieldset className="grid gap-1.5">
              <legend className="mb-1">What they draw with, besides topics and links</legend>
              {DRAWING_TOOLS.map((tool) => {
                const tools: readonly DrawingTool[] = task.drawing?.tools ?? DRAWING_TOOLS;
                return (
                  <Tick
                    key={tool}
                    is={tools.includes(tool)}
                    onChange={(is) => {
                      const next = DRAWING_TOOLS.filter((one) => (one === tool ? is : tools.includes(one)));
                      draw({ tools: next.length === DRAWING_TOOLS.length ? undefined : next });
                    }}
                  >
                    {TOOL_NAMES[tool]}
                  </Tick>
                );
              })}
              <Tick
                is={task.drawing?.pictureFirst === true}
                onChange={(is) => draw({ pictureFirst: is ? true : undefined })}
              >
                For the young: a topic begins with its picture
              </Tick>
            </fieldset>
            <label className="flex flex-wrap items-center gap-2">
              Topics of their own: at most
              <input
                type="number"
                className="field w-20 font-mono"
                min={1}
                max={500}
                placeholder="any"
                value={task.drawing?.mostOwnTopics ?? ''}
                onChange={({ target }) => {
                  const most = Math.round(Number(target.value));
                  draw({ mostOwnTopics: target.value !== '' && most >= 1 && most <= 500 ? most : undefined });
                }}
              />
              <span className="text-sm text-quiet">15 to 25 is usual; it is said, not enforced</span>
            </label>
            <label className="block">
              <span className="mb-1 block">A hint for gathering them</span>
              <input
                className="field"
                maxLength={500}
                value={task.drawing?.gatheringHint ?? ''}
                placeholder="Think of what you can see on a bridge, then of what you cannot"
                onChange={({ target }) => draw({ gatheringHint: target.value === '' ? undefined : target.value })}
              />
            </label>
          </div>
        </details>
      </div>
    </Section>
  );
}

function Tick({ is, onChange, children }: { is: boolean; onChange: (is: boolean) => void; children: string }) {
  return (
    <label className="flex items-center gap-2">
      <input
        type="checkbox"
        className="accent-action"
        checked={is}
        onChange={({ target }) => onChange(target.checked)}
      />
      {children}
    </label>
  );
}
