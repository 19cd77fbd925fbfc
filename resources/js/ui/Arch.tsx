import { clsx } from 'clsx';
import type { Glyph } from '../lib/generated/types';
import { say } from '../lib/say';
import ui from './ui.module.css';

export interface ArchProps {
  glyph: Glyph;
  /** May look but not work: drawn as a short line underneath. */
  look?: boolean;
  /** Where the words beside it say the same already. */
  silent?: boolean;
  size?: number;
}

/** The doorway that stands for a state, told apart by shape first and colour second. */
export function Arch({ glyph, look = false, silent = false, size = 18 }: ArchProps) {
  const state = say(`state.${glyph}`);
  const words = look ? say('state.look', { state }) : state;
  return (
    <svg
      className={clsx(ui.arch, ui[`arch-${glyph}`])}
      viewBox="0 0 18 22"
      width={size}
      height={(size * 22) / 18}
      {...(silent ? { 'aria-hidden': true } : { role: 'img', 'aria-label': words })}
    >
      <Shape name={glyph} />
      {look && <path d="M5.6 20.9h6.8" stroke="currentColor" strokeWidth="1.7" />}
    </svg>
  );
}

function Shape({ name }: { name: Glyph }) {
  switch (name) {
    case 'open':
    case 'sample':
      return (
        <>
          <path d="M4 18V7.4a5 5 0 0 1 10 0V18z" fill="currentColor" opacity=".13" />
          <path d="M4 18.2V7.4a5 5 0 0 1 10 0v10.8" fill="none" stroke="currentColor" strokeWidth="2.2" />
          {name === 'sample' && <circle cx="9" cy="11.4" r="2" fill="currentColor" />}
        </>
      );
    case 'later':
      return (
        <>
          <path d="M4.4 17.1V7a4.6 4.6 0 0 1 9.2 0v10.1z" fill="none" stroke="currentColor" strokeWidth="1.5" />
          <path d="M4.4 17.1v-5l9.2-3.7v8.7z" fill="currentColor" />
        </>
      );
    case 'locked':
      return <path d="M3.5 17.85V7a5.5 5.5 0 0 1 11 0v10.85z" fill="currentColor" />;
    case 'hidden':
      return (
        <path
          d="M4.2 17.1V7a4.8 4.8 0 0 1 9.6 0v10.1z"
          fill="none"
          stroke="currentColor"
          strokeWidth="1.35"
          strokeDasharray="2.3 2.1"
        />
      );
    case 'over':
      return (
        <>
          <path d="M4.2 17.3V7a4.8 4.8 0 0 1 9.6 0v10.3z" fill="none" stroke="currentColor" strokeWidth="1.6" />
          <path d="M4.4 16.6L13.4 5.4M13.6 16.6L4.6 5.4" stroke="currentColor" strokeWidth="1.6" />
        </>
      );
  }
}

/** The mark of the application: a doorway within a doorway. */
export function Mark() {
  return (
    <svg viewBox="0 0 18 22" width={16} height={20} aria-hidden>
      <g fill="none" stroke="currentColor" strokeWidth="1.6">
        <path d="M2.2 17.4V9a6.8 6.8 0 0 1 13.6 0v8.4" />
        <path d="M5.9 17.4V9.4a3.1 3.1 0 0 1 6.2 0v8" />
        <path d="M.4 18.2h17.2" />
      </g>
    </svg>
  );
}
