import './ui/fonts.css';
import './ui/tokens.css';

import { atRest, watchPresses } from './lib/rest';

/*
 * The school's own face: learners, and whoever has not come in. A page to be read stands there written by the server (app/Http/Plain);
 * its scripts, the larger half of all that is sent, are fetched when its reader turns to do something. All other pages fetch them at once.
 */
watchPresses();
const root = document.getElementById('app');
const begin = () => void import('./boot');

if (root?.dataset.rests === undefined) {
  begin();
} else {
  atRest(root, begin);
}
