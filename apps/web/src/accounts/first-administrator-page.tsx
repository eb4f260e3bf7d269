import { classValidatorResolver } from '@hookform/resolvers/class-validator';
import { FirstAdministrator } from '@ichnograph/contract';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { api, sentenceOfError } from '../app/api';
import { Page } from '../app/page';
import { refresh } from '../app/queries';
import { Button } from '../ui/button';
import { Field, Trouble } from '../ui/field';

/** The first page of an installation that holds nothing yet. */
export function FirstAdministratorPage() {
  const [trouble, setTrouble] = useState('');
  const {
    register,
    handleSubmit,
    formState: { errors, isSubmitting },
  } = useForm<FirstAdministrator>({
    resolver: classValidatorResolver(FirstAdministrator),
    defaultValues: {
      school: '',
      timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone,
      givenName: '',
      familyName: '',
      name: '',
      password: '',
    },
  });
  const make = async (wanted: FirstAdministrator): Promise<void> => {
    setTrouble('');
    try {
      await api.post('first-administrator', wanted);
      await refresh();
    } catch (error) {
      setTrouble(sentenceOfError(error));
    }
  };
  return (
    <Page
      title="Set up your school"
      lead="Nothing is here yet. Make the first administrator, who then adds people and classes."
    >
      <form noValidate className="max-w-md" onSubmit={(event) => void handleSubmit(make)(event)}>
        <Trouble>{trouble}</Trouble>
        <Field label="School" error={errors.school?.message} {...register('school')} />
        <Field
          label="Time zone"
          hint="Due times are typed and shown in this zone."
          error={errors.timeZone?.message}
          {...register('timeZone')}
        />
        <Field
          label="Your given name"
          autoComplete="given-name"
          error={errors.givenName?.message}
          {...register('givenName')}
        />
        <Field
          label="Your family name"
          autoComplete="family-name"
          error={errors.familyName?.message}
          {...register('familyName')}
        />
        <Field
          label="Sign-in name"
          autoComplete="username"
          autoCapitalize="none"
          error={errors.name?.message}
          {...register('name')}
        />
        <Field
          label="Password"
          type="password"
          autoComplete="new-password"
          error={errors.password?.message}
          {...register('password')}
        />
        <Button type="submit" look="action" disabled={isSubmitting}>
          Make the first administrator
        </Button>
      </form>
    </Page>
  );
}
