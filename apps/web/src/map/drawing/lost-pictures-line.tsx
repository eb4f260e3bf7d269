import { useLostPictures } from '../../common/lost-pictures';

/** Why pictures do not show, as long as they do not. */
export function LostPictures() {
  const why = useLostPictures((lost) => lost.why);
  if (!why) return null;
  return (
    <p
      role="status"
      className="words border-b border-ochre bg-ochre-wash px-3.5 py-1.5 text-sm"
      data-testid="lost-pictures"
    >
      Some pictures cannot be shown; their words stand in their place. {why}
    </p>
  );
}
