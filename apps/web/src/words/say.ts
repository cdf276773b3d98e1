import IntlMessageFormat from 'intl-messageformat';
import { LOCALE } from './locale.js';
import { unbroken } from './unbroken.js';

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
    const text = catalog[key] ?? key;
    // Most messages are plain words: reading them as a pattern would cost the first view its time.
    if (!/[{'#]/.test(text)) return unbroken(text);
    let message = read.get(key);
    if (!message) {
      message = new IntlMessageFormat(text, LOCALE, undefined, { ignoreTag: true });
      read.set(key, message);
    }
    return unbroken(String(message.format(params)));
  };
}
