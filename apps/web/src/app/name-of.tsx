import { ChevronDown } from 'lucide-react';
import type { Me } from '@ichnograph/contract';

export const NAME_BUTTON =
  'ml-auto flex max-w-[16rem] shrink-0 items-center whitespace-nowrap gap-1 rounded-sm px-2 py-1.5 hover:bg-canvas';

/** Who is signed in, as the button of their menu says it. */
export const NameOf = ({ me }: { me: Me }) => (
  <>
    <span className="truncate">
      {me.givenName}
      <span className="max-md:sr-only"> {me.familyName}</span>
    </span>
    <ChevronDown aria-hidden size={14} />
  </>
);
