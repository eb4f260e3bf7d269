import { classValidatorResolver } from '@hookform/resolvers/class-validator';
import type { FormEvent } from 'react';
import { useForm } from 'react-hook-form';
import type { DefaultValues, Path } from 'react-hook-form';

/**
 * A form of one class of the wire: what it refuses, the server would refuse too, in the same words.
 * @param send gets what was filled in once it holds to the rules
 * @returns `form` and `field(name)` for their elements (`register(name)` for a bare one), whether it is being sent, and what
 * empties it
 */
export function useFields<T extends object>(
  wire: new () => T,
  defaultValues: DefaultValues<T>,
  send: (wanted: T) => Promise<unknown>,
) {
  const {
    register,
    handleSubmit,
    reset,
    formState: { errors, isSubmitting },
  } = useForm<T>({ resolver: classValidatorResolver<T>(wire), defaultValues });
  return {
    form: { noValidate: true, onSubmit: (event: FormEvent) => void handleSubmit(send)(event) },
    field: (name: Path<T>) => ({
      ...register(name),
      error: (errors as Record<string, { message?: string } | undefined>)[name]?.message,
    }),
    register,
    sending: isSubmitting,
    reset: () => reset(),
  };
}
