import css from './learn.module.css';
/** Rendered from Markdown and sanitised by the server. */
export function Prose({ html }: { html: string }) {
  // oxlint-disable-next-line react/no-danger
  return html === '' ? null : <div className={css.prose} dangerouslySetInnerHTML={{ __html: html }} />;
}
