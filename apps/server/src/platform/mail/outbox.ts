import { randomUUID } from 'node:crypto';
import { mkdir, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { Injectable } from '@nestjs/common';

/** A mail to be sent. */
export interface Letter {
  readonly to: string;
  readonly subject: string;
  readonly text: string;
}

/** Header injection: a header's value must stay on one line. */
const inLine = (text: string): string => text.replace(/[\r\n]+/g, ' ');

/**
 * Stand-in for a mail server: writes mails as .eml files into a folder, since the app needs no network. A mailer can
 * pick them up from there.
 */
@Injectable()
export class Outbox {
  /**
   * @param folder where mails are written; `null` to drop them
   * @param address the app's address, for links
   */
  constructor(
    private readonly folder: string | null,
    readonly address: string,
  ) {}

  async send({ to, subject, text }: Letter): Promise<void> {
    if (this.folder === null) return;
    await mkdir(this.folder, { recursive: true, mode: 0o700 });
    const head = [
      `To: ${inLine(to)}`,
      `Subject: ${inLine(subject)}`,
      `Date: ${new Date().toUTCString()}`,
      'MIME-Version: 1.0',
      'Content-Type: text/plain; charset=utf-8',
    ];
    // A mail may contain a sign-in link, so only its owner may read the file.
    const path = join(this.folder, `${randomUUID()}.eml`);
    await writeFile(path, `${head.join('\r\n')}\r\n\r\n${text}\r\n`, { mode: 0o600 });
  }
}
