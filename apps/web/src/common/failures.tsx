import { Link, useRouteError } from 'react-router';
import { sentenceOfError } from './api';
import { Page } from './page';

/** A page whose data did not come. What happened, what is safe, what to do. */
export function Failed({ error }: { error: unknown }) {
  return (
    <Page title="This did not load">
      <p role="alert" className="max-w-[60ch] words">
        {sentenceOfError(error)}
      </p>
      <p className="mt-4">
        <Link className="text-action underline" to="/">
          Go to Today
        </Link>
      </p>
    </Page>
  );
}

export function PageFailed() {
  const error = useRouteError();
  console.error(error);
  return (
    <div className="min-h-screen">
      <Failed error={error} />
    </div>
  );
}

export function NotThere() {
  return (
    <Page title="There is no such page">
      <p>The address may be mistyped, or the page is not yours to see.</p>
      <p className="mt-4">
        <Link className="text-action underline" to="/">
          Go to Today
        </Link>
      </p>
    </Page>
  );
}
