import { TextInput } from '@mantine/core';
import { say } from '../lib/say';

export interface AccountFieldsProps {
  data: { name: string; email: string };
  errors: { name?: string | undefined; email?: string | undefined };
  onSet: (changes: Partial<{ name: string; email: string }>) => void;
}

/** A name and an address: all that opening an account asks for. */
export function AccountFields({ data, errors, onSet }: AccountFieldsProps) {
  return (
    <>
      <TextInput label={say('account.name')} autoComplete="name" maxLength={200} value={data.name} error={errors.name} onChange={(event) => onSet({ name: event.currentTarget.value })} />
      <TextInput label={say('account.email')} type="email" autoComplete="email" maxLength={190} value={data.email} error={errors.email} onChange={(event) => onSet({ email: event.currentTarget.value })} />
    </>
  );
}
