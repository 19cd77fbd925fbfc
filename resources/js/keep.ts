import './ui/fonts.css';
import './ui/mantine.css';
import './ui/tokens.css';
import './ui/keep.css';
// Before those of the subjects, which come with their pages and build on it.
import './ui/ui.module.css';

/*
 * The administrator's side. What it is made of is fetched and run when the frame that the server has written
 * (resources/views/plain/keep.blade.php) is painted: over a slow line the two would take the line from each other.
 * A page that is not in sight is never painted, and need not be waited for.
 */
let begun = false;
const begin = () => {
  if (!begun) {
    begun = true;
    const scripts = document.querySelector<HTMLTemplateElement>('template#scripts');
    document.head.append(...(scripts === null ? [] : scripts.content.children));
    void import('./keepBoot');
    // Titles of rows that others are named by are in italics: when they are drawn it is there, and they are not laid out twice.
    void document.fonts.load('italic 1em "Source Sans 3 Variable"');
  }
};

if (document.visibilityState === 'visible') {
  new PerformanceObserver(begin).observe({ type: 'paint', buffered: true });
  // Where no paint is told of, as when it is hidden while it is fetched.
  document.addEventListener('visibilitychange', begin);
  window.addEventListener('load', () => window.setTimeout(begin, 3000));
} else {
  begin();
}
