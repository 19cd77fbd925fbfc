import { mustTellZone } from './time';

/** What a reader does who turns to do something. Links go where they lead, with scripts or without. */
const TURNS = ['pointerover', 'touchstart', 'focusin', 'keydown'] as const;

/** What can be done something with. */
const ACTS = 'a, button, input, select, textarea, summary, label';

/** Between pressing and letting go nothing may be put in the place of what is pressed: the click would be lost. */
let pressed = false;

/** From the first script on. */
export function watchPresses(): void {
  window.addEventListener('pointerdown', () => (pressed = true), { capture: true, passive: true });
  for (const end of ['pointerup', 'pointercancel'] as const) {
    window.addEventListener(end, () => (pressed = false), { capture: true, passive: true });
  }
}

function whenFree(act: () => void): void {
  if (!pressed) {
    act();
    return;
  }
  // The click comes after it is let go.
  window.addEventListener('pointerup', () => window.setTimeout(() => whenFree(act)), { once: true, passive: true });
}

/**
 * Waits with the scripts of a page until it is not as it was any more, or, for those whose page says that it wakes, until its reader turns
 * to something: who has come in has the scripts already, and goes on faster with them. All that a visitor can do there goes without.
 */
export function atRest(root: HTMLElement, begin: () => void): void {
  const turn = (event: Event) => {
    // The pointer on its way over the page is not yet about to do anything.
    if (event.type !== 'pointerover' || (event.target instanceof Element && event.target.closest(ACTS) !== null)) {
      end();
    }
  };
  const end = () => {
    for (const what of TURNS) {
      root.removeEventListener(what, turn);
    }
    window.clearTimeout(turning);
    begin();
  };
  if (root.dataset.wakes !== undefined) {
    for (const what of TURNS) {
      root.addEventListener(what, turn, { passive: true });
    }
  }
  const seconds = Number(root.dataset.turns ?? '');
  // Longer than a browser can wait, and than a page is left open.
  const turning = seconds > 0 && seconds < 86_400 ? window.setTimeout(end, seconds * 1000) : undefined;
  tellWhoseTime(root);
}

/** The note is there, and hidden: whose clock it is the server cannot know. */
function tellWhoseTime(root: HTMLElement): void {
  for (const note of root.querySelectorAll<HTMLElement>('[data-zone]')) {
    note.hidden = !mustTellZone(note.dataset.zone ?? '', note.dataset.knew !== undefined);
  }
}

/** Puts a page in the place of what stood there, with no press of a button in between, and the focus where it was. */
export function keepFocus(root: HTMLElement, put: () => void): void {
  whenFree(() => putThere(root, put));
}

function putThere(root: HTMLElement, put: () => void): void {
  const focused = root.contains(document.activeElement) ? document.activeElement : null;
  const href = focused?.getAttribute('href') ?? null;
  put();
  if (href !== null) {
    const found = () => [...root.querySelectorAll<HTMLElement>('a[href]')].find((link) => link.getAttribute('href') === href);
    // Put there in the next frames.
    const again = (left: number) => {
      const link = found();
      if (link !== undefined && link !== focused && document.contains(link)) {
        link.focus({ preventScroll: true });
      } else if (left > 0) {
        requestAnimationFrame(() => again(left - 1));
      }
    };
    requestAnimationFrame(() => again(20));
  }
}
