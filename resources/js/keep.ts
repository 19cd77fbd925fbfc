import './ui/fonts.css';
import './ui/mantine.css';
import './ui/tokens.css';
import './ui/keep.css';
// Before those of the subjects, which come with their pages and build on it.
import './ui/ui.module.css';

/*
 * The administrator's side. What it is made of is fetched beside this file; it is not run before the frame that the server has written
 * (resources/views/plain/keep.blade.php) is to be painted. A page that is not in sight is never painted, and need not be waited for.
 */
const begin = () => void import('./keepBoot');

if (document.visibilityState === 'visible') {
  requestAnimationFrame(() => window.setTimeout(begin));
} else {
  begin();
}
