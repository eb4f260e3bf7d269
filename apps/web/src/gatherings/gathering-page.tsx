import { useParams } from 'react-router';
import { Link } from 'react-router';
import { ApiError } from '../common/api';
import { Page } from '../common/page';
import { Waiting } from '../common/waiting';
import { buttonClass } from '../ui/button';
import { Answering } from './answering';
import { Board } from './board';
import { useGathering } from './use-gathering';

/** A question to a class: the board for whoever leads it, a place to answer for the class. */
export function GatheringPage() {
  const id = useParams().id!;
  const { query, isOpen } = useGathering(id);
  const { data, error } = query;
  if (error instanceof ApiError && error.status === 404) return <NotYours />;
  if (data === undefined) return <Waiting of={query} what="Opening the question …" />;
  return data.leads ? <Board detail={data} isOpen={isOpen} /> : <Answering detail={data} isOpen={isOpen} />;
}

function NotYours() {
  return (
    <Page title="This question is not open to you" lead="It was removed, or you are not in the class it was put to.">
      <Link className={buttonClass('action')} to="/">
        To today
      </Link>
    </Page>
  );
}
