import type { LiveRole } from '@orthokin/contract';
import type { DirectNews } from '@orthokin/contract/live-messages';

/** The device's own addresses are found sooner than this; others are not needed. */
const LONGEST_GATHERING_MS = 2000;

/** Whether this browser can speak to another one without a server between. */
export const canGoDirect = (): boolean => typeof RTCPeerConnection !== 'undefined';

/** Resolves when the description contains all of this device's addresses, so that one message is enough. */
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
  /** Sends signalling to the other side, through the server. */
  readonly introduce: (news: DirectNews) => void;
  readonly frame: (text: string, pageMs: number) => void;
  /** Called when it opens or ends. */
  readonly change: () => void;
}

/**
 * A direct WebRTC connection to another screen of the room on the same network, which keeps working when the server
 * is gone. The server relays the signalling; no outside server is used, so different networks are never bridged.
 */
export class DirectWay {
  private readonly connection = new RTCPeerConnection();
  private data: RTCDataChannel | null = null;

  constructor(
    /** The other screen's role. */
    readonly role: LiveRole,
    private readonly heard: Heard,
  ) {
    this.connection.ondatachannel = ({ channel }) => this.use(channel);
    this.connection.onconnectionstatechange = heard.change;
  }

  /** Whether it works right now; while it does not, messages go through the server. */
  get isOpen(): boolean {
    return this.data?.readyState === 'open' && this.connection.connectionState === 'connected';
  }

  /** Whether it has opened and has not ended, even if it does not work right now. */
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
