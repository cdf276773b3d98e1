import { randomUUID } from 'node:crypto';
import { mkdir, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { Injectable } from '@nestjs/common';

/** A letter as it would be mailed. */
export interface Letter {
  readonly to: string;
  readonly subject: string;
  readonly text: string;
}

/** One line of a header: what is put into it must not begin another. */
const inLine = (text: string): string => text.replace(/[\r\n]+/g, ' ');

/**
 * The stand-in for mail: letters lie in a folder as files that any mail program opens, since the app
 * must not need a network. A mailer that takes them from there and sends them needs nothing of the app.
 */
@Injectable()
export class Outbox {
  /** `folder`: where letters lie, or `null` to drop them; `address`: how the app is reached from outside. */
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
    // What is in it lets somebody in.
    const path = join(this.folder, `${randomUUID()}.eml`);
    await writeFile(path, `${head.join('\r\n')}\r\n\r\n${text}\r\n`, { mode: 0o600 });
  }
}
