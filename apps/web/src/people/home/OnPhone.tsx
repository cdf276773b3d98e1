import { QRCodeSVG } from 'qrcode.react';
import type { ReactElement } from 'react';
import { isLoopback } from '../../parts/is-loopback.js';
import { say } from '../../words/home.js';

/** This page's address to scan from the paper; nothing where no other device reaches it. */
export function OnPhone(): ReactElement | null {
  return isLoopback() ? null : (
    <p style={{ display: 'flex', alignItems: 'center', gap: 14, marginTop: 12 }}>
      <QRCodeSVG value={window.location.href} size={80} title={say('scanHere')} /> {say('scanHere')}
    </p>
  );
}
