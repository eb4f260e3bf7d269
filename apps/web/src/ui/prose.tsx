import Markdown from 'react-markdown';

/** What a person wrote at length. Markdown only: HTML in it is shown as text, pictures from elsewhere are not fetched. */
export function Prose({ text }: { text: string }) {
  return (
    <div className="prose words max-w-[70ch]">
      <Markdown disallowedElements={['img', 'h1']} unwrapDisallowed>
        {text}
      </Markdown>
    </div>
  );
}
