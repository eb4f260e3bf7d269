import type { NewPicture } from '@ichnograph/core';
import { useState } from 'react';
import { pictureHref } from '../../common/picture-href';
import { Credits, LibraryPanel, OwnPanel, shownSize, SketchPanel } from '../../pictures';
import type { Chosen } from '../../pictures';
import { Button } from '../../ui/button';
import { Dialog } from '../../ui/dialog';
import { Segments } from '../../ui/segments';
import { useCommands } from '../commands/list';
import { useEditor, useEditorState } from '../editor';
import type { PictureTab } from '../editor';

const TABS = ['Library', 'Yours', 'Sketch'] as const satisfies readonly PictureTab[];

/** Pictures to choose, to bring, to draw; with what is said to those who cannot see them. */
export function PicturesDialog({ onClosed }: { onClosed: () => void }) {
  const { actions, assignment } = useEditor();
  const asked = useEditorState((state) => state.pictures);
  return (
    <Dialog
      wide
      open={asked !== null}
      onOpenChange={(is) => {
        if (!is) actions.closePictures();
      }}
      title={asked?.replaces ? 'Another picture in its place' : 'A picture'}
      onCloseAutoFocus={(event) => {
        event.preventDefault();
        onClosed();
      }}
    >
      {asked && <Choosing first={asked.tab} language={assignment.language} />}
    </Dialog>
  );
}

function Choosing({ first, language }: { first: PictureTab; language: string }) {
  const [tab, setTab] = useState<PictureTab>(first);
  const [words, setWords] = useState('');
  const [chosen, setChosen] = useState<Chosen | null>(null);
  const [looked, setLooked] = useState<Chosen | null>(null);
  const again = useEditorState(({ pictures }) => pictures?.replaces ?? null);
  const take = useTake();
  const grid = { chosen: chosen?.src ?? null, onLook: setLooked, onChoose: setChosen };
  const goesOn = tab === 'Sketch' && first === 'Sketch' ? again : null;
  const sketched = useSketchedSrc(goesOn);
  return (
    <div className="grid gap-3">
      <div className="flex items-center justify-between gap-3">
        <Segments
          label="Where from"
          options={TABS}
          value={tab}
          onChange={(next) => {
            setTab(next);
            setChosen(null);
          }}
        />
        <GoesWhere />
      </div>
      {tab === 'Sketch' ? (
        <SketchPanel
          key={sketched ?? 'new'}
          name={`sketch ${sketched ?? ''}`}
          again={sketched}
          onDone={(picture, alt) => void take(picture, alt)}
        />
      ) : (
        <div className="grid h-[min(58vh,29rem)] grid-cols-[1fr_15rem] gap-4 max-md:grid-cols-1">
          {tab === 'Library' && <LibraryPanel language={language} words={words} onWords={setWords} {...grid} />}
          {tab === 'Yours' && <OwnPanel {...grid} />}
          <Picked key={chosen?.src} picture={chosen} looked={looked} />
        </div>
      )}
      {tab === 'Library' && <Credits language={language} />}
    </div>
  );
}

/** What a picture that is drawn on again is called on the map. */
function useSketchedSrc(replaces: { of: string; src: string | null } | null): string | null {
  return useEditorState(({ map }) =>
    replaces === null ? null : (replaces.src ?? map.pictures.find(({ id }) => id === replaces.of)?.src ?? null),
  );
}

/** Where the picture will go: said before it is chosen. */
function useWhere(): string {
  const text = useEditorState(({ map, selection, pictures }) => {
    if (pictures?.replaces) return 'It takes the place of the one that is there.';
    const topics = map.topics.filter(({ id }) => selection.includes(id));
    const [one] = topics;
    if (!one) return 'It goes onto the map, beside everything.';
    return topics.length === 1 ? `It goes into “${one.text}”.` : `It goes into each of ${topics.length} topics.`;
  });
  return text;
}
function GoesWhere() {
  return <p className="words text-sm text-quiet">{useWhere()}</p>;
}

/** Puts a picture where the dialog says it goes, and shows it there. */
function useTake(): (picture: Chosen, alt: string, stays?: boolean) => boolean {
  const { actions, store } = useEditor();
  const { desk } = useCommands();
  return (picture, alt, stays = false) => {
    const { map, selection, pictures } = store.getState();
    const isLoose = pictures?.replaces
      ? pictures.replaces.src === null
      : !map.topics.some(({ id }) => selection.includes(id));
    const size = picture.width === null ? {} : shownSize(picture, !isLoose);
    const wanted: NewPicture = { src: picture.src, alt: alt.trim(), ...size };
    const isIn = actions.takePicture(wanted, desk.centre(), stays);
    if (isIn && isLoose && !stays) desk.bringIn();
    return isIn;
  };
}

function Picked({ picture, looked }: { picture: Chosen | null; looked: Chosen | null }) {
  const put = useTake();
  const [alt, setAlt] = useState(picture?.name ?? '');
  const shown = looked ?? picture;
  const [isPut, setIsPut] = useState(false);
  const replaces = useEditorState(({ pictures }) => pictures?.replaces ?? null);
  const take = (stays: boolean): void => {
    if (picture) setIsPut(put(picture, alt, stays) && stays);
  };
  return (
    <form
      className="flex min-h-0 flex-col gap-2 border-l border-rule pl-4"
      onSubmit={(event) => {
        event.preventDefault();
        take(false);
      }}
    >
      <div className="grid h-40 shrink-0 place-items-center border border-rule bg-white p-3" data-testid="larger-look">
        {shown ? (
          <img src={pictureHref(shown.src) ?? ''} alt={shown.name} className="h-36 w-full object-contain" />
        ) : (
          <span className="text-center text-sm text-quiet">Point at a picture to see it larger.</span>
        )}
      </div>
      <p className="words min-h-5 text-sm">{shown?.name}</p>
      <label className="grid gap-1">
        <span className="caption">For those who cannot see it</span>
        <textarea
          className="field min-h-16 resize-none"
          maxLength={2000}
          placeholder="What does it show?"
          disabled={!picture}
          value={alt}
          onChange={({ target }) => setAlt(target.value)}
        />
      </label>
      <Button type="submit" look="action" disabled={!picture}>
        Put it there
      </Button>
      {!replaces && (
        <Button disabled={!picture} onClick={() => take(true)}>
          Put it, and choose another
        </Button>
      )}
      <p role="status" className="text-sm text-quiet">
        {isPut && 'It is on the map.'}
      </p>
      {picture && alt.trim() === '' && (
        <p className="text-xs text-quiet">Say in a few words what it shows, if you can.</p>
      )}
    </form>
  );
}
