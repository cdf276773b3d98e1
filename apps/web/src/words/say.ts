import IntlMessageFormat from 'intl-messageformat';
import { LOCALE } from './locale.js';

/** Messages of one domain in one language: ICU texts with parameters, by key. */
export type Catalog = Readonly<Record<string, string>>;

type Params = Readonly<Record<string, string | number>>;

/**
 * What says the messages of a catalog. Each is read once, when it is first said. Another language is
 * another catalog with the same keys.
 */
export function speaker<Own extends Catalog>(
  catalog: Own,
): (key: keyof Own & string, params?: Params) => string {
  const read = new Map<string, IntlMessageFormat>();
  return (key, params) => {
    let message = read.get(key);
    if (!message) {
      message = new IntlMessageFormat(catalog[key] ?? key, LOCALE, undefined, { ignoreTag: true });
      read.set(key, message);
    }
    return String(message.format(params));
  };
}
