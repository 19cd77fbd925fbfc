import { Link } from '@inertiajs/react';
import { clsx } from 'clsx';
import { type ButtonHTMLAttributes, type InputHTMLAttributes, type ReactNode, type TextareaHTMLAttributes, useId, useState } from 'react';

import { say } from '../lib/say';
import css from './plain.module.css';

/*
 * Controls of the learner's side: what the browser has, with our looks. A page of a course is fetched over slow lines by people who
 * look once, and the component library of the administrator's side would be the larger half of it.
 */

export interface ButtonProps extends ButtonHTMLAttributes<HTMLButtonElement> {
  /** What it began is not done yet: it cannot be pressed again. */
  loading?: boolean;
  variant?: 'filled' | 'default';
}

export function Button({ loading = false, variant = 'filled', type = 'button', disabled, className, ...rest }: ButtonProps) {
  return <button {...rest} type={type} disabled={(disabled ?? false) || loading} aria-busy={loading || undefined} className={clsx(css.button, variant === 'default' && css.quiet, className)} />;
}

/** A link that looks like what it is: the next step. */
export function ButtonLink({ href, variant = 'filled', children }: { href: string; variant?: 'filled' | 'default'; children: ReactNode }) {
  const className = clsx(css.button, variant === 'default' && css.quiet);
  return href.startsWith('/') ? (
    <Link href={href} className={className}>
      {children}
    </Link>
  ) : (
    <a href={href} className={className}>
      {children}
    </a>
  );
}

interface Told {
  label: ReactNode;
  description?: string | undefined;
  /** What is wrong with what was typed. */
  error?: string | undefined;
}

/** What is said around a field, and how the field says that it is meant. */
function useField({ description, error }: Omit<Told, 'label'>) {
  const id = useId();
  const told = [description === undefined ? '' : `${id}-told`, error === undefined ? '' : `${id}-wrong`].filter((one) => one !== '').join(' ');
  return { id, meant: { id, 'aria-invalid': error !== undefined || undefined, 'aria-describedby': told === '' ? undefined : told } };
}

function Field({ id, label, description, error, required, children }: Told & { id: string; required?: boolean | undefined; children: ReactNode }) {
  return (
    <div className={css.field}>
      <label htmlFor={id} className={clsx(required === true && css.needed)}>
        {label}
      </label>
      {description !== undefined && <p id={`${id}-told`}>{description}</p>}
      {children}
      {error !== undefined && (
        <p id={`${id}-wrong`} className={css.wrong}>
          {error}
        </p>
      )}
    </div>
  );
}

export type TextInputProps = Told & InputHTMLAttributes<HTMLInputElement>;

export function TextInput({ label, description, error, ...rest }: TextInputProps) {
  const { id, meant } = useField({ description, error });
  return (
    <Field id={id} label={label} description={description} error={error} required={rest.required}>
      <input type="text" {...rest} {...meant} />
    </Field>
  );
}

export function PasswordInput({ label, description, error, ...rest }: TextInputProps) {
  const { id, meant } = useField({ description, error });
  const [shown, setShown] = useState(false);
  return (
    <Field id={id} label={label} description={description} error={error} required={rest.required}>
      <div className={css.secret}>
        <input {...rest} {...meant} type={shown ? 'text' : 'password'} />
        <button type="button" aria-label={say('door.show_password')} aria-pressed={shown} onClick={() => setShown(!shown)}>
          {say('door.show')}
        </button>
      </div>
    </Field>
  );
}

export type TextareaProps = Told & TextareaHTMLAttributes<HTMLTextAreaElement>;

/** Grows with what is typed. */
export function Textarea({ label, description, error, ...rest }: TextareaProps) {
  const { id, meant } = useField({ description, error });
  return (
    <Field id={id} label={label} description={description} error={error} required={rest.required}>
      <textarea rows={1} {...rest} {...meant} />
    </Field>
  );
}

export type TickProps = Told & Omit<InputHTMLAttributes<HTMLInputElement>, 'type'> & { type?: 'checkbox' | 'radio' };

/** A box to be ticked, or one of several to be chosen. */
export function Tick({ label, description, error, type = 'checkbox', ...rest }: TickProps) {
  const { id, meant } = useField({ description, error });
  return (
    <div className={css.tick}>
      <input {...rest} {...meant} type={type} />
      <label htmlFor={id}>{label}</label>
      {description !== undefined && <p id={`${id}-told`}>{description}</p>}
      {error !== undefined && (
        <p id={`${id}-wrong`} className={css.wrong}>
          {error}
        </p>
      )}
    </div>
  );
}
