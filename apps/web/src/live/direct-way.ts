import type { LiveRole } from '@orthokin/contract';
import type { DirectNews } from '@orthokin/contract/live-messages';

/** Addresses of this device on its network are found sooner; what is not by then is not used. */
const LONGEST_GATHERING_MS = 2000;

/** Whether this browser can speak to another one without a server between. */
export const canGoDirect = (): boolean => typeof RTCPeerConnection !== 'undefined';

/** All addresses this device can be reached at are in its description, so that one message is enough. */
function gathered(connection: RTCPeerConnection): Promise<void> {
  if (connection.iceGatheringState === 'complete') return Promise.resolve();
  return new Promise((done) => {
    const timer = setTimeout(done, LONGEST_GATHERING_MS);
    connection.addEventListener('icegatheringstatechange', () => {
      if (connection.iceGatheringState !== 'complete') return;
      clearTimeout(timer);
      done();
    });
  });
}

interface Heard {
  /** Introduces this side to the other: by way of the server, while it is there. */
  readonly introduce: (news: DirectNews) => void;
  readonly frame: (text: string, pageMs: number) => void;
  /** It has opened, or is over. */
  readonly change: () => void;
}

/**
 * The way straight to one other screen of the room, on the network both are in: what is told goes on
 * when the server is gone. The server introduces the two to each other; nothing outside is asked, so
 * that two networks are never bridged.
 */
export class DirectWay {
  private readonly connection = new RTCPeerConnection();
  private data: RTCDataChannel | null = null;

  constructor(
    /** What the other screen is in the room. */
    readonly role: LiveRole,
    private readonly heard: Heard,
  ) {
    this.connection.ondatachannel = ({ channel }) => this.use(channel);
    this.connection.onconnectionstatechange = heard.change;
  }

  /** One that falters is not used: until it is found again, or over, the server is the way. */
  get isOpen(): boolean {
    return this.data?.readyState === 'open' && this.connection.connectionState === 'connected';
  }

  /** It was opened and is not over, be it that it falters. */
  get isStanding(): boolean {
    return this.data?.readyState === 'open';
  }

  get isOver(): boolean {
    return (
      ['failed', 'closed'].includes(this.connection.connectionState) ||
      this.data?.readyState === 'closed'
    );
  }

  async offer(): Promise<void> {
    this.use(this.connection.createDataChannel('live'));
    await this.describe('offer');
  }

  async hear({ kind, sdp }: DirectNews): Promise<void> {
    await this.connection.setRemoteDescription({ type: kind, sdp });
    if (kind === 'offer') await this.describe('answer');
  }

  send(text: string): void {
    this.data?.send(text);
  }

  close(): void {
    this.connection.close();
  }

  private async describe(kind: DirectNews['kind']): Promise<void> {
    await this.connection.setLocalDescription();
    await gathered(this.connection);
    const { localDescription } = this.connection;
    if (localDescription) this.heard.introduce({ kind, sdp: localDescription.sdp });
  }

  private use(data: RTCDataChannel): void {
    this.data = data;
    data.onopen = this.heard.change;
    data.onclose = this.heard.change;
    data.onmessage = ({ data: text, timeStamp }: MessageEvent<string>) =>
      this.heard.frame(text, timeStamp);
  }
}
