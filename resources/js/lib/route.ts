import { routes } from './generated/routes';

type Routes = typeof routes;

/** What a path takes; a question mark stands after what may be left out. */
type Parts<Path extends string> = Path extends `${string}{${infer Part}}${infer Rest}` ? Part | Parts<Rest> : never;

type Takes<Path extends string> = { [Part in Parts<Path> as Part extends `${string}?` ? never : Part]: string | number } & {
  [Part in Parts<Path> as Part extends `${infer Name}?` ? Name : never]?: string | number;
};

/** The path of a route by its name, as routes/web.php has it. Whatever a key is made of, it stays one part of the path. */
export function to<Name extends keyof Routes>(name: Name, ...[takes]: [Parts<Routes[Name]>] extends [never] ? [] : [Takes<Routes[Name]>]): string {
  const given: Record<string, string | number | undefined> = { ...takes };
  const path = routes[name].replaceAll(/\/?\{(\w+)(\??)\}/g, (part, of: string, optional: string) => {
    const value = given[of];
    if (value === undefined) {
      if (optional === '') {
        throw new Error(`The route ${name} takes ${of}.`);
      }
      return '';
    }
    return `${part.startsWith('/') ? '/' : ''}${encodeURIComponent(String(value))}`;
  });
  return path === '' ? '/' : path;
}
