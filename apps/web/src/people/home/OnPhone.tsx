import { QRCodeSVG } from 'qrcode.react';
import type { ReactElement } from 'react';
import { say } from '../../words/home.js';

const LOOPBACK = ['127.0.0.1', 'localhost', '[::1]'];

/** This page's address to scan from the paper; nothing where no other device reaches it. */
export function OnPhone(): ReactElement | null {
  const { hostname, href } = window.location;
  return LOOPBACK.includes(hostname) ? null : (
    <p style={{ display: 'flex', alignItems: 'center', gap: 14, marginTop: 12 }}>
      <QRCodeSVG value={href} size={80} title={say('scanHere')} /> {say('scanHere')}
    </p>
  );
}
