import {
  Inject,
  Injectable,
  Logger,
  type OnModuleDestroy,
  type OnModuleInit,
} from '@nestjs/common';
import { Client } from 'pg';
import { DATABASE_URL } from '../database/database-url.js';

const CHANNEL = 'orthokin_live';
const FIRST_RETRY_MS = 250;
const LONGEST_RETRY_MS = 5000;
const MOST_TOGETHER = 100;

/**
 * Messages between server processes through LISTEN and NOTIFY, on a dedicated connection: pooled ones do not keep a
 * LISTEN. Reconnects by itself.
 */
@Injectable()
export class Notices implements OnModuleInit, OnModuleDestroy {
  private readonly log = new Logger('live');
  private client: Client | null = null;
  private hear: (payload: string) => void = () => undefined;
  private retryMs = FIRST_RETRY_MS;
  private timer: NodeJS.Timeout | undefined;
  private closing = false;
  private sending = false;
  private readonly waiting: string[] = [];

  constructor(@Inject(DATABASE_URL) private readonly databaseUrl: string) {}

  onModuleInit(): Promise<void> {
    return this.connect();
  }

  async onModuleDestroy(): Promise<void> {
    this.closing = true;
    clearTimeout(this.timer);
    await this.client?.end();
  }

  /** Registers the handler for messages from all processes, this one included. */
  onNotice(hear: (payload: string) => void): void {
    this.hear = hear;
  }

  /** Sends a message to all processes; dropped while the database is away, since live news does not keep. */
  send(payload: string): void {
    this.waiting.push(payload);
    void this.sendAll();
  }

  /** Sends what has piled up as one query, because a connection runs only one at a time. */
  private async sendAll(): Promise<void> {
    if (this.sending) return;
    this.sending = true;
    while (this.waiting.length > 0 && !this.closing) {
      const batch = this.waiting.splice(0, MOST_TOGETHER);
      try {
        await this.client?.query('select pg_notify($1, payload) from unnest($2::text[]) payload', [
          CHANNEL,
          batch,
        ]);
      } catch (error) {
        this.log.warn(`${batch.length} live notices were not sent: ${String(error)}`);
      }
    }
    this.sending = false;
  }

  private async connect(): Promise<void> {
    const client = new Client({ connectionString: this.databaseUrl });
    client.on('error', () => this.reconnect(client));
    client.on('end', () => this.reconnect(client));
    client.on('notification', ({ payload = '' }) => this.hear(payload));
    try {
      await client.connect();
      await client.query(`listen ${CHANNEL}`);
      this.client = client;
      this.retryMs = FIRST_RETRY_MS;
    } catch {
      this.reconnect(client);
    }
  }

  private reconnect(lost: Client): void {
    if (this.client === lost) this.client = null;
    if (this.closing || this.client !== null || this.timer !== undefined) return;
    this.timer = setTimeout(() => {
      this.timer = undefined;
      void this.connect();
    }, this.retryMs);
    this.retryMs = Math.min(LONGEST_RETRY_MS, 2 * this.retryMs);
  }
}
