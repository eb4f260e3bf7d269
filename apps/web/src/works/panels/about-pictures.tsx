import type { LoosePicture, Topic } from '@ichnograph/core';
import { isUpload } from '@ichnograph/core';
import { Brush, ImagePlus, Paperclip, Replace, SquarePlus, X } from 'lucide-react';
import { CommittedInput } from '../../common/committed';
import { useMyFiles } from '../../common/queries';
import { pictureHref } from '../../common/picture-href';
import { Button } from '../../ui/button';
import { ChooseFile } from '../../ui/choose-file';
import { useEditor } from '../editor';

const SIZES = [
  ['Small', 48],
  ['Middling', 64],
  ['Large', 120],
  ['Very large', 200],
] as const;

/** A size of some length in the shape a picture has. */
const scaled = (size: { width?: number | undefined; height?: number | undefined }, longest: number) => {
  const { width = 64, height = 64 } = size;
  const by = longest / Math.max(width, height);
  return { width: width * by, height: height * by };
};

/** Whether a picture is a sketch of one's own, that can be drawn on again. */
const useIsSketch = (): ((src: string) => boolean) => {
  const mine = useMyFiles();
  return (src) => isUpload(src) && mine.data?.some((file) => file.src === src && file.isSketch) === true;
};

interface Shown {
  src: string;
  alt: string;
  width?: number | undefined;
  height?: number | undefined;
}

/** One picture that is there: what it shows, how large it is, and what can be done with it. */
function PictureRow({
  picture,
  replaces,
  onDescribe,
  onSize,
  onRemove,
}: {
  picture: Shown;
  replaces: { of: string; src: string | null };
  onDescribe: (alt: string) => void;
  onSize: (size: { width: number; height: number }) => void;
  onRemove: () => void;
}) {
  const { actions } = useEditor();
  const isSketch = useIsSketch();
  const longest = Math.max(picture.width ?? 64, picture.height ?? 64);
  const called = picture.alt || 'the picture';
  return (
    <div className="grid grid-cols-[3rem_1fr] gap-2" data-testid="picture-row">
      <button
        type="button"
        className="h-12 w-12 border border-rule bg-white p-0.5 hover:border-ink"
        aria-label={`Look at ${called} large`}
        title="Look at it large"
        onClick={() => actions.lookLarge(picture.src)}
      >
        <img src={pictureHref(picture.src) ?? ''} alt="" className="h-full w-full object-contain" />
      </button>
      <div className="grid gap-1">
        <CommittedInput
          className="field"
          aria-label="What the picture shows"
          placeholder="What does it show? For those who cannot see it"
          value={picture.alt}
          maxLength={2000}
          onCommit={(alt) => onDescribe(alt.trim())}
        />
        <div className="flex flex-wrap gap-1">
          <select
            aria-label={`Size of ${called}`}
            className="min-h-7 rounded-sm border border-[#8b9389] bg-white px-1 text-sm"
            value={SIZES.some(([, size]) => size === longest) ? longest : 'own'}
            onChange={({ target }) => onSize(scaled(picture, Number(target.value)))}
          >
            {!SIZES.some(([, size]) => size === longest) && (
              <option value="own" disabled>
                Own size
              </option>
            )}
            {SIZES.map(([name, size]) => (
              <option key={name} value={size}>
                {name}
              </option>
            ))}
          </select>
          {isSketch(picture.src) && (
            <Button small onClick={() => actions.openPictures('Sketch', replaces)}>
              <Brush aria-hidden size={13} />
              Draw on it
            </Button>
          )}
          <Button
            small
            onClick={() => actions.openPictures('Library', replaces)}
            aria-label={`Put another in place of ${called}`}
            title="Put another in its place"
          >
            <Replace aria-hidden size={13} />
          </Button>
          <Button small look="quiet" onClick={onRemove} aria-label={`Take ${called} away`}>
            <X aria-hidden size={13} />
          </Button>
        </div>
      </div>
    </div>
  );
}

/** The pictures a topic holds, and the way to one more. */
export function Pictures({ topic }: { topic: Topic }) {
  const { actions } = useEditor();
  return (
    <section aria-label="Pictures" className="grid gap-2">
      <h3 className="caption">Pictures</h3>
      {(topic.pictures ?? []).map((picture) => (
        <PictureRow
          key={picture.src}
          picture={{ ...picture, alt: picture.alt ?? '' }}
          replaces={{ of: topic.id, src: picture.src }}
          onDescribe={(alt) => actions.describePicture(topic.id, picture.src, alt)}
          onSize={(size) => actions.sizePicture(topic.id, picture.src, size)}
          onRemove={() => actions.removePicture(topic.id, picture.src)}
        />
      ))}
      {(topic.pictures ?? []).length > 0 && (
        <label className="flex items-center gap-2 text-sm">
          <input
            type="checkbox"
            className="accent-action"
            checked={topic.wordless === true}
            onChange={({ target }) => actions.setWordless(target.checked)}
          />
          The picture alone: what it shows is the topic’s name, and is not drawn
        </label>
      )}
      <div className="flex gap-1">
        <Button small onClick={() => actions.openPictures('Library')}>
          <ImagePlus aria-hidden size={14} />
          Add a picture …
        </Button>
        <Button small onClick={() => actions.openPictures('Sketch')}>
          <Brush aria-hidden size={14} />
          Sketch …
        </Button>
      </div>
    </section>
  );
}

/** What can be done with a picture that belongs to no topic. */
export function LooseBar({ picture }: { picture: LoosePicture }) {
  const { actions } = useEditor();
  const isSketch = useIsSketch();
  const replaces = { of: picture.id, src: null };
  const fade = (faint: string): void => {
    const opacity = Math.round((1 - Number(faint)) * 10) / 10;
    if (opacity !== (picture.opacity ?? 1))
      actions.setLoose(picture.id, { opacity: opacity === 1 ? undefined : opacity });
  };
  return (
    <>
      <CommittedInput
        key={picture.id}
        className="field min-h-7 w-64 min-w-24 shrink"
        aria-label="What the picture shows"
        placeholder="What does it show?"
        value={picture.alt}
        maxLength={2000}
        onCommit={(alt) => void actions.setLoose(picture.id, { alt: alt.trim() })}
      />
      {isSketch(picture.src) && (
        <Button small onClick={() => actions.openPictures('Sketch', replaces)}>
          <Brush aria-hidden size={13} />
          Draw on it
        </Button>
      )}
      <Button small title="It can be linked then, and is checked" onClick={actions.picturesAsTopics}>
        <SquarePlus aria-hidden size={13} />
        As a topic
      </Button>
      <Button small onClick={() => actions.openPictures('Library', replaces)}>
        <Replace aria-hidden size={13} />
        Replace …
      </Button>
      <label className="flex items-center gap-1.5 text-sm">
        Faint
        <input
          type="range"
          className="w-20 accent-action"
          min={0}
          max={0.9}
          step={0.1}
          defaultValue={1 - (picture.opacity ?? 1)}
          onPointerUp={({ currentTarget }) => fade(currentTarget.value)}
          onKeyUp={({ currentTarget }) => fade(currentTarget.value)}
        />
      </label>
      <Button
        small
        aria-pressed={picture.fixed === true}
        className="aria-pressed:bg-wash"
        title="It is not moved or chosen by a hand that draws on it"
        onClick={() => actions.setLoose(picture.id, { fixed: picture.fixed ? undefined : true })}
      >
        Lies still
      </Button>
    </>
  );
}

/** Files that stand beside what a topic bears: handed out to be saved, never shown here. */
export function Files({ topic }: { topic: Topic }) {
  const { actions } = useEditor();
  return (
    <section aria-label="Files" className="grid gap-1">
      <h3 className="caption">Files</h3>
      {(topic.files ?? []).map(({ src, name = 'A file' }) => (
        <div key={src} className="flex min-w-0 items-center gap-2">
          <a
            className="words min-w-0 flex-1 text-action underline"
            href={pictureHref(src) ?? undefined}
            download={name}
          >
            {name}
          </a>
          <Button small look="quiet" aria-label={`Take ${name} away`} onClick={() => actions.removeFile(topic.id, src)}>
            <X aria-hidden size={13} />
          </Button>
        </div>
      ))}
      <div>
        <ChooseFile small accept="" onFile={(file) => void actions.bringFiles([file], [topic.id], topic)}>
          <Paperclip aria-hidden size={14} />
          Add a file …
        </ChooseFile>
      </div>
    </section>
  );
}
