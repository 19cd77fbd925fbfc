import { say } from '../lib/say';
import { TextInput } from './Plain';

export interface AccountFieldsProps {
  data: { name: string; email: string };
  errors: { name?: string | undefined; email?: string | undefined };
  onSet: (changes: Partial<{ name: string; email: string }>) => void;
}

/** A name and an address: all that opening an account asks for. */
export function AccountFields({ data, errors, onSet }: AccountFieldsProps) {
  return (
    <>
      <TextInput name="name" label={say('account.name')} autoComplete="name" maxLength={200} value={data.name} error={errors.name} onChange={(event) => onSet({ name: event.currentTarget.value })} />
      <TextInput name="email" label={say('account.email')} type="email" autoComplete="email" maxLength={190} value={data.email} error={errors.email} onChange={(event) => onSet({ email: event.currentTarget.value })} />
    </>
  );
}
