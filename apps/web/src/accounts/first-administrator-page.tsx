import { FirstAdministrator } from '@ichnograph/contract';
import { api } from '../common/api';
import { Page } from '../common/page';
import { useSend } from '../common/send';
import { useFields } from '../common/use-fields';
import { Button } from '../ui/button';
import { Field, Trouble } from '../ui/field';

const unknown = () => ({
  school: '',
  timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone,
  givenName: '',
  familyName: '',
  name: '',
  password: '',
});

/** The first page of an installation that holds nothing yet. */
export function FirstAdministratorPage() {
  const { trouble, send } = useSend('everything');
  const make = (wanted: FirstAdministrator): Promise<boolean> => send(() => api.post('first-administrator', wanted));
  const { form, field, sending } = useFields(FirstAdministrator, unknown(), make);
  return (
    <Page
      title="Set up your school"
      lead="Nothing is here yet. Make the first administrator, who then adds people and classes."
    >
      <form className="max-w-md" {...form}>
        <Trouble>{trouble}</Trouble>
        <Field label="School" {...field('school')} />
        <Field label="Time zone" hint="Due times are typed and shown in this zone." {...field('timeZone')} />
        <Field label="Your given name" autoComplete="given-name" {...field('givenName')} />
        <Field label="Your family name" autoComplete="family-name" {...field('familyName')} />
        <Field label="Sign-in name" autoComplete="username" autoCapitalize="none" {...field('name')} />
        <Field label="Password" type="password" autoComplete="new-password" {...field('password')} />
        <Button type="submit" look="action" disabled={sending}>
          Make the first administrator
        </Button>
      </form>
    </Page>
  );
}
