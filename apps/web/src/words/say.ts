import IntlMessageFormat from 'intl-messageformat';
import { LOCALE } from './locale.js';
import { unbroken } from './unbroken.js';

/** A domain's messages in one language: ICU texts by key. */
export type Catalog = Readonly<Record<string, string>>;

type Params = Readonly<Record<string, string | number>>;

/**
 * Returns a function that formats a catalog's messages. Each is parsed once, when it is first used. Another language
 * is another catalog with the same keys.
 */
export function speaker<Own extends Catalog>(
  catalog: Own,
): (key: keyof Own & string, params?: Params) => string {
  const read = new Map<string, IntlMessageFormat>();
  return (key, params) => {
    const text = catalog[key] ?? key;
    // Most messages are plain text; parsing them as patterns would slow down the first page.
    if (!/[{'#]/.test(text)) return unbroken(text);
    let message = read.get(key);
    if (!message) {
      message = new IntlMessageFormat(text, LOCALE, undefined, { ignoreTag: true });
      read.set(key, message);
    }
    return unbroken(String(message.format(params)));
  };
}
