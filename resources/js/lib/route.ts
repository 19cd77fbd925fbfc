import { route, type Config, type RouteList } from 'ziggy-js';
import { routes } from './generated/routes';

const config: Config = { url: '', port: null, defaults: {}, routes };

type Takes<Name extends keyof RouteList> = { [Part in RouteList[Name][number] as Part['required'] extends true ? Part['name'] : never]: string | number } & {
  [Part in RouteList[Name][number] as Part['required'] extends true ? never : Part['name']]?: string | number;
};

/** The path of a route by its name, as routes/web.php has it. Whatever a key is made of, it stays one part of the path. */
export function to<Name extends keyof RouteList>(name: Name, ...[takes]: RouteList[Name] extends [] ? [] : [Takes<Name>]): string {
  // Ziggy leaves what is encoded already as it is, but lets slashes and question marks through.
  const encoded = Object.entries({ ...takes }).map(([part, value]) => [part, encodeURIComponent(String(value))]);
  return route<keyof RouteList>(name, Object.fromEntries(encoded), false, config);
}
